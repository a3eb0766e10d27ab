import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useEffect, useState } from 'react';
import { allShortcuts, forTheScreen } from '../hooks/shortcuts';

/** How keys are called that have no letter. */
const NAMES: Record<string, string> = { ' ': 'Space', ArrowLeft: '←', ArrowRight: '→', Escape: 'Esc' };
const spelled = (key: string) =>
  key
    .split(/(?<=.)\+/)
    .map((part) => NAMES[part] ?? (part.length === 1 ? part.toUpperCase() : part))
    .join(' + ');

/** The list of keys that do something on this page, which `?` opens. */
export function Keys() {
  const [keys, setKeys] = useState<[string, string][] | null>(null);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== '?' || !forTheScreen(event)) return;
      event.preventDefault();
      setKeys(allShortcuts());
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  const close = () => setKeys(null);
  return (
    <Dialog open={keys !== null} onClose={close} aria-labelledby="keys" maxWidth="md">
      {/* Where the list is longer than the screen, it is scrolled by keys as well. */}
      <DialogContent tabIndex={0} role="group" aria-labelledby="keys">
        <Box component="h2" id="keys" sx={{ m: 0, mb: 1.5, typography: 'h2' }}>
          Keys on this page
        </Box>
        {keys?.length === 0 && 'None but those of every page.'}
        <Box
          component="dl"
          sx={{
            m: 0,
            display: 'grid',
            gridTemplateColumns: { xs: 'auto 1fr', md: 'auto 1fr auto 1fr' },
            columnGap: 2.5,
            rowGap: 0.75,
          }}
        >
          {keys?.map(([key, says]) => (
            <Box key={key} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
                {spelled(key)}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {says}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
