import Box from '@mui/material/Box';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { useEffect, useRef, useState } from 'react';
import { openRound } from '../../live/poll';
import { usePolls, type Poll } from '../usePolls';

/** Says politely, for those who listen to the page, that a poll was opened, closed or shown. */
export function PollAnnouncer({ sitting }: { sitting: string }) {
  const polls = usePolls(sitting);
  const [words, setWords] = useState('');
  const before = useRef<Poll[] | null>(null);
  useEffect(() => {
    const said = before.current && wordsFor(before.current, polls);
    if (said) setWords(said);
    before.current = polls;
  }, [polls]);
  return (
    <Box aria-live="polite" sx={visuallyHidden}>
      {words}
    </Box>
  );
}

function wordsFor(old: Poll[], now: Poll[]): string | undefined {
  for (const { id, state } of now) {
    const then = old.find((poll) => poll.id === id)?.state;
    if (then === state) continue;
    const { text } = state.question;
    if (state.shown && state.shown !== then?.shown) return `Shown to all, what was answered to: ${text}`;
    if (state.rounds.length > (then?.rounds.length ?? 0) && openRound(state)) return `A poll is open: ${text}`;
    if (then && openRound(then) && !openRound(state)) return `Closed: ${text}`;
  }
  return undefined;
}
