import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useState } from 'react';
import { useKept } from '../parts/hooks/useKept';
import { useUnsent } from '../parts/hooks/useUnsent';

interface Props {
  sitting: string;
  /** Whether staff see it before others do, and whether one's name may be left out. */
  review: boolean;
  nameless: boolean;
  /** @returns whether it was taken in */
  onAsk: (text: string, nameless: boolean) => Promise<boolean>;
}

/** Letters of a question, as `Core::Questions::Questions` has it. */
const MOST = 500;

/** Where one asks. What was refused stays. */
export function AskBox({ sitting, review, nameless, onAsk }: Props) {
  const [begun, setBegun] = useKept<string>(`question ${sitting}`);
  const text = begun ?? '';
  // With the words: nobody finds them again with the name that they left out.
  const [leftOut, setLeftOut] = useKept<boolean>(`nameless question ${sitting}`);
  const hidden = leftOut ?? false;
  const [says, setSays] = useState<string | null>(null);
  useUnsent(text.trim() !== '');
  const ask = async () => {
    const words = text.trim();
    if (!words) return;
    const taken = await onAsk(words, nameless && hidden);
    if (taken) setBegun(() => null);
    setSays(taken ? (review ? 'Staff have it, and see it first.' : 'It is asked.') : null);
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void ask();
      }}
      sx={{ borderTop: 1, borderColor: 'divider', p: 1.5, display: 'flex', flexDirection: 'column', gap: 0.75 }}
    >
      <OutlinedInput
        fullWidth
        multiline
        maxRows={4}
        size="small"
        value={text}
        onChange={({ target }) => setBegun(() => target.value || null)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return;
          event.preventDefault();
          void ask();
        }}
        placeholder="Ask a question"
        inputProps={{ 'aria-label': 'Ask a question', maxLength: MOST, dir: 'auto' }}
      />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        {nameless && (
          <FormControlLabel
            label="Without my name"
            control={<Checkbox size="small" checked={hidden} onChange={(_, on) => setLeftOut(() => on)} />}
            sx={{ '& .MuiFormControlLabel-label': { fontSize: 14 } }}
          />
        )}
        <Box role="status" sx={{ flex: '1 1 130px', fontSize: 13, color: 'text.secondary' }}>
          {says ?? (review ? 'Staff see it first.' : '')}
        </Box>
        <Button type="submit" disabled={text.trim() === ''}>
          Ask
        </Button>
      </Box>
    </Box>
  );
}
