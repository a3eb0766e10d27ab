import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { patch, post } from '../../api/http';
import { count } from '../../parts/words/times';

interface Props {
  /** Ids of recordings. */
  chosen: string[];
  onDone: () => void;
}

/** What is done with several recordings at once. */
const WAYS: [string, (path: string) => Promise<unknown>, (many: string) => string][] = [
  ['Share with the course', (path) => patch(path, { shared: true }), (many) => `${many} shared with the course.`],
  ['Share no more', (path) => patch(path, { shared: false }), (many) => `${many} for staff alone now.`],
  [
    'Make films',
    (path) => post(`${path}/exports/films`, { formats: ['mp4'], captions: 'track', lang: null }),
    (many) => `${many} asked for as MP4: see “Take away” of each.`,
  ],
  [
    'Make zips',
    (path) => post(`${path}/exports/zips`),
    (many) => `${many} asked for as zips: see “Take away” of each.`,
  ],
];

export function WithSeveral({ chosen, onDone }: Props) {
  const queries = useQueryClient();
  const act = useMutation({
    mutationFn: async ([, one, says]: (typeof WAYS)[number]) => {
      const done = await Promise.allSettled(chosen.map((id) => one(`/api/recordings/${id}`)));
      const failed = done.find((result) => result.status === 'rejected');
      const many = count(done.filter(({ status }) => status === 'fulfilled').length, 'recording');
      return says(many) + (failed ? ` ${(failed.reason as Error).message}` : '');
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['recordings'] }),
  });
  if (chosen.length === 0 && !act.data) return null;
  return (
    <Box
      sx={{
        ...{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mb: 1, p: 1 },
        ...{ bgcolor: 'veranda.wash', borderRadius: 1 },
      }}
    >
      <Box role="status" sx={{ flex: '1 1 160px' }}>
        {act.data ?? `${count(chosen.length, 'recording')} chosen`}
      </Box>
      {chosen.length > 0 &&
        WAYS.map((way) => (
          <Button key={way[0]} size="small" disabled={act.isPending} onClick={() => act.mutate(way)}>
            {way[0]}
          </Button>
        ))}
      <Button
        size="small"
        onClick={() => {
          act.reset();
          onDone();
        }}
      >
        Done
      </Button>
    </Box>
  );
}
