import Button from '@mui/material/Button';
import { useCaptionWish } from './wish';

/** Begins to write captions, or stops. */
export function CaptionSwitch() {
  const [{ writing }, set] = useCaptionWish();
  return (
    <Button aria-pressed={writing} onClick={() => set({ writing: !writing })}>
      {writing ? 'Write no captions' : 'Write captions'}
    </Button>
  );
}
