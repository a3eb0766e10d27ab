import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { post } from '../../api/http';
import type { CopyRow } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { Line } from '../../parts/frame/Line';
import { useShortcuts } from '../../parts/hooks/useShortcuts';

interface StaffProps {
  sitting: string;
  /** Stream of the place. */
  room: string;
  copy: CopyRow;
  /** Whose it is, as one calls them. */
  whose: string;
  page: string;
  onBack: () => void;
  /** It is in front of all. */
  onShown: () => void;
}

/** For staff, above somebody's copy: put it in front of all, or go back. */
export function CopyLine({ sitting, room, copy, whose, page, onBack, onShown }: StaffProps) {
  const live = useLive();
  const forward = useMutation({
    mutationFn: (named: boolean) =>
      post<{ board: string }>(`/api/classes/${sitting}/boards`, { copy: copy.board, named }).then(({ board }) =>
        live.do('class.show', room, { board, page }),
      ),
    onSuccess: onShown,
    onError: (error) => live.notice('not_put_forward', error.message),
  });
  useShortcuts({ r: ['Back to where you came from', onBack] });
  return (
    <Line label="This copy" says={`Only ${whose} and those who teach see this.`}>
      <Button size="small" disabled={forward.isPending} onClick={() => forward.mutate(true)}>
        Show it to all as {whose}’s
      </Button>
      <Button size="small" disabled={forward.isPending} onClick={() => forward.mutate(false)}>
        Show it to all without a name
      </Button>
      <Button size="small" variant="outlined" onClick={onBack}>
        Back
      </Button>
    </Line>
  );
}

interface OwnProps {
  /** Whether one looks at one's copy now, and not at the board for all. */
  copied: boolean;
  /** Whether it is that of a pair. */
  together: boolean;
  onSwitch: () => void;
}

/** For those who work on a copy of their own: whose it is, and the way to the board that all see. */
export function OwnCopyLine({ copied, together, onSwitch }: OwnProps) {
  const says = copied
    ? together
      ? 'This is your pair’s copy: you work on it together.'
      : 'This is your own copy. You and those who teach see it.'
    : 'This is the board that all see. Your own copy is kept.';
  return (
    <Line label="Your copy" says={says}>
      <Button size="small" onClick={onSwitch}>
        {copied ? 'See the board for all' : 'Back to your copy'}
      </Button>
    </Line>
  );
}
