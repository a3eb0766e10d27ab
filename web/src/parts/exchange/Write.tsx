import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { POST_LIMIT } from '../../api/contracts';
import type { Seat } from '../../api/shapes';
import { useKept } from '../hooks/useKept';
import { useShortcuts } from '../hooks/useShortcuts';
import { useUnsent } from '../hooks/useUnsent';
import { audienceWords, type Audience } from './audience';
import { ToWhom } from './ToWhom';
import type { useAttaching } from './useAttaching';

interface Props {
  /** Tells where one writes from all other places: what is begun there stays there. */
  name: string;
  to: Audience;
  onTo: (to: Audience) => void;
  /** Who is here besides oneself. */
  seats: Seat[];
  /** Why one may not write to this audience; null when one may. */
  reason: string | null;
  /** Why one may not write to students alone; null when one may. */
  threadsReason: string | null;
  /** What else there is to know of this audience. */
  remark?: string;
  /** Where one writes. */
  input: React.RefObject<HTMLInputElement | null>;
  /** @returns whether it was taken in */
  onPost: (text: string, file?: string) => Promise<boolean>;
  /** Files that go with what one writes; null where none may. */
  files: ReturnType<typeof useAttaching> | null;
  /** Asks everyone what is written after a question mark. @returns why not; null when it is asked */
  onAsk?: (text: string) => Promise<string | null>;
}

/** Where one writes. What was refused comes back; who goes away with something unsent is asked. */
export function Write({ name, to, onTo, seats, reason, threadsReason, remark, input, onPost, files, onAsk }: Props) {
  const [begun, setBegun] = useKept<string>(`post ${name}`);
  const text = begun ?? '';
  const [whose, setWhose] = useKept<Audience>(`post to ${name}`);
  // What was begun for some is not found again addressed to all.
  useEffect(() => {
    if (begun !== null && whose !== null) onTo(whose);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- as it was when one comes back
  }, []);
  useEffect(() => {
    if (to !== whose) setWhose(() => to);
  });
  const [underway, setUnderway] = useState(0);
  const [choosing, setChoosing] = useState<HTMLElement | null>(null);
  const chooser = useRef<HTMLButtonElement>(null);
  useShortcuts({
    e: ['Write to everyone here', () => (onTo('everyone'), input.current?.focus())],
    w: ['Write to somebody alone', () => setChoosing(chooser.current)],
  });
  const file = files?.attached ?? null;
  const picker = useRef<HTMLInputElement>(null);
  useUnsent(text.trim() !== '' || underway > 0 || file !== null);

  const asks = onAsk !== undefined && text.trimStart().startsWith('?');
  const send = async () => {
    const words = text.trim();
    if (!words && !file) return;
    setBegun(() => null);
    files?.drop();
    setUnderway((n) => n + 1);
    const taken = asks ? (await onAsk(words)) === null : await onPost(words, file?.id);
    setUnderway((n) => n - 1);
    // A refused post goes back into the box, before what was written since.
    if (!taken) files?.back(file);
    if (!taken) setBegun((present) => (present ? `${words}\n${present}` : words));
  };
  const key = (event: KeyboardEvent) => {
    // While a word is being composed, Enter chooses among its forms.
    if (event.nativeEvent.isComposing || event.keyCode === 229) return;
    if (event.key === 'Escape') {
      event.preventDefault();
      input.current?.blur();
    }
    if (event.key !== 'Enter' || event.shiftKey) return;
    event.preventDefault();
    void send();
  };
  const whom = audienceWords(to, seats);

  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', p: 1.5 }}>
      <Box sx={{ fontSize: 13, mb: 0.75 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          To
          <Button
            ref={chooser}
            size="small"
            aria-haspopup="dialog"
            aria-label={`To ${whom}. Choose whom this is for`}
            onClick={() => setChoosing(chooser.current)}
            sx={{ minHeight: { xs: 44, md: 28 }, p: '0 8px', fontSize: 13, fontWeight: 700, textAlign: 'left' }}
          >
            {whom}
          </Button>
          {files && reason === null && (
            <>
              <input
                ref={picker}
                type="file"
                hidden
                aria-label="A file to post"
                onChange={(event) => {
                  const chosen = event.target.files?.[0];
                  event.target.value = '';
                  if (chosen) void files.attach(chosen);
                }}
              />
              <Button
                size="small"
                onClick={() => picker.current?.click()}
                sx={{ ml: 'auto', minHeight: { xs: 44, md: 28 }, p: '0 8px', fontSize: 13 }}
              >
                Add a file
              </Button>
            </>
          )}
          {remark && <Box sx={{ color: 'text.secondary' }}>{remark}</Box>}
        </Box>
        {reason && <Box sx={{ mt: 0.5 }}>{reason}</Box>}
        {asks && (
          <Box role="status" sx={{ mt: 0.5, bgcolor: 'veranda.wash', borderRadius: 1, p: 0.75 }}>
            Enter opens this as a poll. Options go on the lines below (Shift+Enter), the right one with = in front.
          </Box>
        )}
        {(file || files?.says) && (
          <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 0.75, mt: 0.5 }}>
            {files?.says ?? `With ${file!.name}`}
            <Button size="small" onClick={files?.drop} sx={{ minHeight: { xs: 44, md: 24 }, p: '0 8px', fontSize: 13 }}>
              Without it
            </Button>
          </Box>
        )}
      </Box>
      {choosing && (
        <ToWhom
          anchor={choosing}
          {...{ to, seats, reason: threadsReason, onChange: onTo }}
          onClose={() => {
            setChoosing(null);
            // The popover gives the focus back to what it had before it is gone.
            setTimeout(() => input.current?.focus());
          }}
        />
      )}
      <OutlinedInput
        fullWidth
        multiline
        maxRows={5}
        size="small"
        inputRef={input}
        // What was typed before the right went stays to be read and copied.
        disabled={reason !== null && text === ''}
        readOnly={reason !== null}
        value={text}
        onChange={({ target }) => setBegun(() => target.value || null)}
        onKeyDown={key}
        onPaste={(event) => {
          const pasted = event.clipboardData.files[0];
          if (!files || !pasted) return;
          event.preventDefault();
          void files.attach(pasted);
        }}
        endAdornment={
          (text.trim() !== '' || file !== null) &&
          reason === null && (
            <Button onClick={() => void send()} sx={{ display: { md: 'none' }, alignSelf: 'flex-end', mr: -1 }}>
              Post
            </Button>
          )
        }
        placeholder="Write, or press E"
        inputProps={{
          'aria-label': `Write to ${whom}`,
          maxLength: POST_LIMIT,
          dir: 'auto',
          enterKeyHint: 'send',
        }}
      />
    </Box>
  );
}
