import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Width } from './useRegions';

interface Props {
  name: string;
  /** What is new in it while it is folded. */
  news?: string | null;
  side: 'left' | 'right';
  width: Width;
  /** px or % that it takes, by its width. */
  takes: Record<Exclude<Width, 'folded'>, number | string>;
  /** Which widths there are besides folded. */
  widens?: boolean;
  onWidth: (width: Width) => void;
  children: ReactNode;
}

/** A region beside the paper that each person may fold to a strip, or widen. Folded, it still tells what is new. */
export function Region({ name, news, side, width, takes, widens = false, onWidth, children }: Props) {
  const border = side === 'left' ? { borderRight: 1 } : { borderLeft: 1 };
  if (width === 'folded')
    return (
      <Box
        component="button"
        type="button"
        aria-expanded={false}
        onClick={() => onWidth('usual')}
        sx={{
          flex: 'none',
          width: 40,
          p: 1,
          font: 'inherit',
          fontWeight: news ? 700 : 400,
          color: 'inherit',
          bgcolor: news ? 'veranda.wash' : 'background.paper',
          border: 0,
          ...border,
          borderColor: 'divider',
          cursor: 'pointer',
          writingMode: 'vertical-rl',
          textAlign: 'left',
        }}
      >
        {name}
        {news && `, ${news}`}
      </Box>
    );
  return (
    <Box
      sx={{
        flex: 'none',
        width: takes[width],
        minHeight: 0,
        display: 'flex',
        flexDirection: 'column',
        bgcolor: 'background.paper',
        ...border,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>{children}</Box>
      <Box
        sx={{
          flex: 'none',
          display: 'flex',
          justifyContent: side === 'left' ? 'flex-start' : 'flex-end',
          borderTop: 1,
          borderColor: 'divider',
          '& button': {
            font: 'inherit',
            fontSize: 13,
            color: 'text.secondary',
            minHeight: 28,
            px: 1.25,
            border: 0,
            bgcolor: 'transparent',
            cursor: 'pointer',
          },
        }}
      >
        {widens && (
          <Box component="button" type="button" onClick={() => onWidth(width === 'wide' ? 'usual' : 'wide')}>
            {width === 'wide' ? 'Narrower' : 'Wider'}
          </Box>
        )}
        <Box component="button" type="button" onClick={() => onWidth('folded')}>
          Fold the {name.toLowerCase()}
        </Box>
      </Box>
    </Box>
  );
}
