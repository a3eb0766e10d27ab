import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { post } from '../../api/http';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { present, type SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { partOf } from '../../live/streams';
import { inWords } from '../../parts/exchange/audience';
import { firstName, isStaff } from '../../parts/words/people';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
}

/** For staff: draws pairs or threes, tells who works with whom and how far they are, and ends it. */
export function Pairs({ sitting, staff, place, room }: Props) {
  const live = useLive();
  const [copies, setCopies] = useState(false);
  const shown = place.shown && staff.boards.find(({ id }) => id === place.shown!.board);
  const copied = shown?.audience === 'everyone' ? shown : null;
  const draw = useMutation({
    mutationFn: (size: number) =>
      post(`/api/classes/${sitting.id}/places/${partOf(room)}/pairs`, {
        size,
        ...(copies && copied && { board: copied.id }),
      }),
    onError: (error) => live.notice('not_paired', error.message),
  });
  const pairs = place.pairs && staff.paired?.round === place.pairs.round ? staff.paired.pairs : null;
  const few = present(sitting).filter((seat) => seat.place === partOf(room) && !isStaff(seat)).length < 2;
  return (
    <Box component="section" aria-label="Pairs">
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Pairs</Box>
      {pairs ? (
        <>
          <PairList pairs={pairs} sitting={sitting} place={place} />
          <Button size="small" onClick={() => void live.do('class.end_pairs', room, {})}>
            End the pairs
          </Button>
        </>
      ) : (
        <>
          <Box sx={{ display: 'flex', gap: 0.5 }}>
            <Button size="small" disabled={few || draw.isPending} onClick={() => draw.mutate(2)}>
              Draw pairs
            </Button>
            <Button size="small" disabled={few || draw.isPending} onClick={() => draw.mutate(3)}>
              Threes
            </Button>
          </Box>
          {few && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>Once two students are here.</Box>}
          {copied && (
            <FormControlLabel
              control={<Checkbox size="small" checked={copies} onChange={(_, on) => setCopies(on)} />}
              label="each with a copy of the board"
            />
          )}
        </>
      )}
    </Box>
  );
}

function PairList({
  pairs,
  sitting,
  place,
}: {
  pairs: { people: string[] }[];
  sitting: SittingState;
  place: PlaceState;
}) {
  const names = new Map(sitting.seats.map(({ id, name }) => [id, firstName(name)]));
  const done = new Set(place.signals.filter(({ signal }) => signal === 'done').map(({ person }) => person));
  const isDone = ({ people }: { people: string[] }) => people.every((person) => done.has(person));
  const waiting = pairs.filter((pair) => !isDone(pair));
  return (
    <>
      <Box role="status">
        {pairs.length - waiting.length} of {pairs.length} pairs done
      </Box>
      <Box
        component="ul"
        sx={{ m: 0, my: 0.5, p: 0, listStyle: 'none', maxHeight: 180, overflowY: 'auto', fontSize: 14 }}
      >
        {[...waiting, ...pairs.filter(isDone)].map((pair) => (
          <li key={pair.people.join()}>
            {inWords(pair.people.map((person) => names.get(person) ?? 'somebody'))}
            {isDone(pair) && ': done'}
          </li>
        ))}
      </Box>
    </>
  );
}
