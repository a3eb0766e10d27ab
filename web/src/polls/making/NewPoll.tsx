import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { post } from '../../api/http';
import type { Question } from '../../api/shapes';
import { usePlace } from '../../live/hooks';
import type { SittingState } from '../../live/sitting';
import { MAIN } from '../../live/streams';
import { AtOnce } from '../../parts/words/atOnce';
import { usePollActs } from '../usePolls';
import { freshQuestion } from '../words';
import { Bank } from './Bank';
import { notYet } from './notYet';
import { QuestionFields } from './QuestionFields';

interface Props {
  sitting: SittingState;
  /** The place one is in. */
  at: string;
  course: string;
  onClose: () => void;
}

/** A poll made during class, or taken from the bank: opened at once, or kept at hand. */
export function NewPoll({ sitting, at, course, onClose }: Props) {
  const acts = usePollActs(sitting.id);
  const [question, setQuestion] = useState<Question>(freshQuestion());
  const [bank, setBank] = useState(false);
  const [says, setSays] = useState<string | null>(null);
  const shown = usePlace(sitting.id, at)?.shown;
  const name = sitting.boards.find(({ id }) => id === shown?.board)?.name ?? 'The board on show';
  const grounds = shown ? [{ board: shown.board, page: shown.page, name }] : [];
  const rooms = sitting.places.some(({ id }) => id !== MAIN);
  const [here, setHere] = useState(false);
  const place = sitting.places.find(({ id }) => id === at)?.name ?? 'this room';
  const missing = notYet(question);
  // What was said is of the question as it was.
  const change = (changed: Question) => {
    setQuestion(changed);
    setSays(null);
  };
  const stage = async (open: boolean) => {
    const { poll, says: refusal } = await acts.stage(question, here ? at : null);
    if (!poll) return setSays(refusal ?? null);
    if (open) await acts.open(poll, undefined);
    onClose();
  };
  const keep = () =>
    void post(`/api/courses/${course}/polls`, { question }).then(
      () => setSays('It is in the bank.'),
      (error: Error) => setSays(error.message),
    );
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="new-poll">
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, minHeight: 420 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Box component="h2" id="new-poll" sx={{ m: 0, typography: 'h2', flex: 1 }}>
            {bank ? 'From the bank' : 'Ask something'}
          </Box>
          <Button onClick={() => setBank(!bank)}>{bank ? 'Write one' : 'From the bank'}</Button>
        </Box>
        {bank ? (
          <Bank
            onTake={(taken) => {
              change(taken);
              setBank(false);
            }}
          />
        ) : (
          <>
            <AtOnce value>
              <QuestionFields question={question} onChange={change} course={course} grounds={grounds} />
            </AtOnce>
            {rooms && (
              <FormControlLabel
                label={`For those in ${place} alone`}
                control={<Switch size="small" checked={here} onChange={(_, on) => setHere(on)} />}
              />
            )}
          </>
        )}
        <Box role="status">{says ?? (bank ? null : missing)}</Box>
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: 0.5 }}>
        <Button onClick={onClose}>Leave it</Button>
        {!bank && (
          <>
            <Button onClick={keep}>Keep in the bank</Button>
            <Button onClick={() => void stage(false)}>Have it at hand</Button>
            <Button
              variant="contained"
              color="primary"
              disabled={missing !== null}
              title={missing ?? undefined}
              onClick={() => void stage(true)}
            >
              Open it
            </Button>
          </>
        )}
      </DialogActions>
    </Dialog>
  );
}
