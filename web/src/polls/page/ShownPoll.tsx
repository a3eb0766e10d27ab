import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PollShown, Question } from '../../api/shapes';
import { useWide } from '../../parts/hooks/useWide';
import { Flow, Gain } from '../results/Flow';
import { Results } from '../results/Results';
import { optionsOf, people, taskOf } from '../words';
import { Paper } from './Paper';

interface Props {
  question: Question;
  shown: PollShown;
  /** Back to the board, for oneself. */
  onLeave?: () => void;
  /** Takes it from everyone's view, for staff. */
  onSeal?: () => void;
}

/** What a poll came to, large on the paper, as staff have shown it to all. */
export function ShownPoll({ question, shown, onLeave, onSeal }: Props) {
  const [wanted, setAsTable] = useState<boolean | null>(null);
  const wide = useWide();
  const told = { ...question, ...(shown.right && { right: shown.right }) };
  const tell = shown.right !== undefined;
  const { moves } = shown;
  // Where people went takes a wide picture.
  const asTable = wanted ?? (!wide && !!moves?.ways);
  return (
    <Paper label={`Shown: ${question.text}`}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Box component="h2" dir="auto" sx={{ m: 0, typography: 'h1', overflowWrap: 'anywhere' }}>
            {question.text}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
            {moves ? `the same ${people(moves.count)} in both rounds` : taskOf(question).toLowerCase()}
          </Box>
        </Box>
        <Button aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
          {asTable ? 'As a picture' : 'As a table'}
        </Button>
        {onSeal && <Button onClick={onSeal}>Seal it</Button>}
        {onLeave && <Button onClick={onLeave}>Back to the board</Button>}
      </Box>
      {moves?.ways ? (
        <>
          <Flow {...{ question: told, results: shown, tell, asTable }} />
          {tell && <Gain results={shown} />}
        </>
      ) : (
        <Results {...{ question: told, tally: shown.tally, tell, asTable }} />
      )}
      {tell && (
        <Box sx={{ bgcolor: 'veranda.wash', borderRadius: 1, p: 1.5 }}>
          <strong>Right: </strong>
          {rightWords(told)}
          {shown.explanation && (
            <Box dir="auto" sx={{ whiteSpace: 'pre-wrap' }}>
              {shown.explanation}
            </Box>
          )}
        </Box>
      )}
    </Paper>
  );
}

function rightWords(question: Question): string {
  const { options, words, number, tolerance, area } = question.right ?? {};
  const text = (id: string) => optionsOf(question).find((option) => option.id === id)?.text ?? id;
  if (options) return options.map(text).join(', ');
  if (words) return words.join(' or ');
  if (number !== undefined)
    return `${number}${tolerance ? ` ± ${tolerance}` : ''}${question.unit ? ` ${question.unit}` : ''}`;
  return area ? 'the spot that is marked' : '';
}
