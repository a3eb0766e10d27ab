import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { HeardRow } from '../../api/shapes';
import { useLive, useServerNow } from '../../live/hooks';
import type { SittingState } from '../../live/sitting';
import { placeStream } from '../../live/streams';
import { firstName } from '../../parts/words/people';
import { count } from '../../parts/words/times';

interface Props {
  sitting: SittingState;
  /** The place that they are in. */
  at: string;
  onClose: () => void;
}

/** How often (ms) it is counted anew while one looks. */
const EVERY = 10_000;

/** For staff: who was heard least and longest ago, first, and how evenly the class is heard. */
export function Heard({ sitting, at, onClose }: Props) {
  const live = useLive();
  const now = useServerNow(EVERY);
  const { data } = useQuery({
    queryKey: ['heard', sitting.id, at],
    queryFn: () => get<{ people: HeardRow[]; gini: number | null }>(`/api/classes/${sitting.id}/places/${at}/heard`),
    refetchInterval: EVERY,
    gcTime: 0,
  });
  const name = (person: string) => sitting.seats.find(({ id }) => id === person)?.name ?? 'Somebody';
  return (
    <Dialog open onClose={onClose} aria-labelledby="heard" maxWidth="sm" fullWidth>
      <DialogContent>
        <Box component="h2" id="heard" sx={{ mt: 0, mb: 0.5, typography: 'h2' }}>
          Who has not been heard
        </Box>
        <Box sx={{ color: 'text.secondary', mb: 1.5 }}>{data ? evenness(data.gini) : 'Counting'}</Box>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {data?.people.map((row) => (
            <Box
              component="li"
              key={row.person}
              sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5, borderTop: 1, borderColor: 'divider' }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <strong>{name(row.person)}</strong>
                <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
                  {row.last === null ? 'nothing yet' : `${ago(now - row.last)} · ${done(row)}`}
                </Box>
              </Box>
              <Button
                onClick={() => {
                  onClose();
                  void live.do('class.lend_floor', placeStream(sitting.id, at), { person: row.person });
                }}
              >
                Lend {firstName(name(row.person))} the floor
              </Button>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Put away</Button>
      </DialogActions>
    </Dialog>
  );
}

/** The fairness figure in words, with the figure. */
function evenness(gini: number | null): string {
  if (gini === null) return 'Nobody has done anything that counts yet.';
  const words =
    gini < 0.25
      ? 'All are heard about alike'
      : gini < 0.5
        ? 'Some are heard more than others'
        : 'A few do most of what is done';
  return `${words} (${gini.toFixed(2)}, where 0 is all alike and 1 is one alone).`;
}

const ago = (ms: number) => (ms < 60_000 ? 'just now' : `${Math.floor(ms / 60_000)} min ago`);

/** What somebody did, in words: `3 posts, 40 marks`. */
export const done = ({ posts, marks, hands, floors, signals }: HeardRow) =>
  [
    [posts, 'post'],
    [marks, 'mark'],
    [hands, 'hand'],
    [floors, 'time with the floor', 'times with the floor'],
    [signals, 'signal'],
  ]
    .filter(([number]) => (number as number) > 0)
    .map(([number, one, many]) => count(number as number, one as string, many as string | undefined))
    .join(', ');
