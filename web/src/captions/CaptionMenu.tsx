import MenuItem from '@mui/material/MenuItem';
import { MenuWord } from '../parts/fields/MenuWord';
import { useCaptionWish } from './wish';

interface Props {
  /** Languages to choose from, where there are several. */
  languages?: string[];
}

const named = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'code' });

/** Whether one reads captions, in which language, how large and where. */
export function CaptionMenu({ languages = [] }: Props) {
  const [wish, set] = useCaptionWish();
  return (
    <MenuWord label="Captions" hint="Captions" picked={wish.on}>
      {(close) => [
        <MenuItem key="on" onClick={() => close(() => set({ on: !wish.on }))}>
          {wish.on ? 'Show no captions' : 'Show captions'}
        </MenuItem>,
        ...(languages.length > 1
          ? languages.map((lang) => (
              <MenuItem
                key={lang}
                selected={wish.on && lang === chosen(wish.lang, languages)}
                onClick={() => close(() => set({ on: true, lang }))}
              >
                {named.of(lang)}
              </MenuItem>
            ))
          : []),
        <MenuItem key="large" onClick={() => close(() => set({ large: !wish.large }))}>
          {wish.large ? 'In usual letters' : 'In large letters'}
        </MenuItem>,
        <MenuItem key="above" onClick={() => close(() => set({ above: !wish.above }))}>
          {wish.above ? 'Below the board' : 'Above the board'}
        </MenuItem>,
      ]}
    </MenuWord>
  );
}

/** @returns the language that is read: the one that was wished for, or the first */
export const chosen = (lang: string | null, languages: string[]) =>
  lang !== null && languages.includes(lang) ? lang : languages[0];
