import { createTheme } from '@mui/material/styles';
import { dusk, light, type Colours } from './colours';

declare module '@mui/material/styles' {
  interface Palette {
    veranda: Colours;
  }
  interface PaletteOptions {
    veranda?: Colours;
  }
}

const HEADING = "'Bricolage Grotesque Variable', sans-serif";
const TEXT = "'Atkinson Hyperlegible Next Variable', sans-serif";

function palette(colours: Colours, onAction: string) {
  return {
    primary: { main: colours.verdigris, contrastText: onAction },
    error: { main: colours.brick, contrastText: onAction },
    info: { main: colours.lake },
    text: { primary: colours.slate, secondary: colours.slate2 },
    divider: colours.hairline,
    background: { default: colours.wall, paper: colours.panel },
    veranda: colours,
  };
}

const heading = (size: number, weight = 700) => ({
  fontFamily: HEADING,
  fontSize: size,
  fontWeight: weight,
  lineHeight: 1.2,
});

/** Where fingers are likely, what can be pressed is at least 44 px. */
export const TOUCHED = '@media (pointer: coarse), (max-width: 899.95px)';

/** Veranda's own theme: light by day, dusk when the device asks for a dark one. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'media' },
  colorSchemes: {
    light: { palette: palette(light, '#FFFDF9') },
    dark: { palette: palette(dusk, '#16201F') },
  },
  shape: { borderRadius: 10 },
  spacing: 8,
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    htmlFontSize: 16,
    h1: heading(26),
    h2: heading(18),
    h3: heading(16),
    body1: { fontSize: 15, lineHeight: 1.45 },
    body2: { fontSize: 13, lineHeight: 1.4 },
    button: { fontSize: 14, fontWeight: 650, textTransform: 'none' },
  },
  transitions: { duration: { shortest: 120, shorter: 120, short: 150, standard: 160, complex: 180 } },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        html: { fontVariantNumeric: 'tabular-nums', scrollbarWidth: 'thin' },
        '*': { scrollbarWidth: 'inherit' },
        body: { overflow: 'hidden' },
        '#root': { height: '100dvh' },
        a: { color: 'var(--mui-palette-primary-main)' },
        ':focus-visible': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 2 },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined', color: 'inherit' },
      styleOverrides: {
        root: ({ theme: t }) => ({
          minHeight: 34,
          padding: '5px 14px',
          whiteSpace: 'nowrap',
          borderRadius: 10,
          lineHeight: 1.3,
          '&.Mui-disabled': { color: t.vars.palette.text.secondary },
          [TOUCHED]: { minHeight: 44, minWidth: 44 },
        }),
        outlined: ({ theme: t }) => ({
          borderColor: t.vars.palette.divider,
          backgroundColor: t.vars.palette.background.paper,
          // One that stays down.
          '&[aria-pressed="true"]': {
            backgroundColor: t.vars.palette.veranda.wash,
            borderColor: t.vars.palette.primary.main,
          },
        }),
      },
    },
    MuiIconButton: { styleOverrides: { root: { [TOUCHED]: { minHeight: 44, minWidth: 44 } } } },
    MuiMenuItem: { styleOverrides: { root: { minHeight: 34, [TOUCHED]: { minHeight: 44 } } } },
    MuiSwitch: {
      styleOverrides: {
        // The whole of a switch answers to the finger, not only its knob.
        root: { [TOUCHED]: { '& input': { height: 44, top: -8 } } },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiTooltip: {
      defaultProps: { enterDelay: 300, disableInteractive: true },
      styleOverrides: { tooltip: { fontSize: 13, padding: '6px 10px', backgroundColor: '#23313A' } },
    },
    MuiMenu: {
      styleOverrides: {
        paper: ({ theme: t }) => ({
          border: `1px solid ${t.vars.palette.divider}`,
          boxShadow: '0 6px 20px rgb(35 49 58 / .14)',
        }),
      },
    },
    MuiDialog: {
      styleOverrides: {
        paper: ({ theme: t }) => ({
          border: `1px solid ${t.vars.palette.divider}`,
          boxShadow: '0 6px 20px rgb(35 49 58 / .14)',
        }),
      },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: ({ theme: t }) => ({ backgroundColor: t.vars.palette.background.paper, [TOUCHED]: { minHeight: 44 } }),
      },
    },
  },
});
