import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { Chapter, RecordingWatching } from '../../api/shapes';
import { clockTime, count, day } from '../../parts/words/times';

interface Props {
  recording: string;
  chapters: Chapter[];
}

/** For staff: who watched how much, and which minutes were watched most. */
export function WhoWatched({ recording, chapters }: Props) {
  const { data } = useQuery({
    queryKey: ['recording-watching', recording],
    queryFn: () => get<RecordingWatching>(`/api/recordings/${recording}/watching`),
  });
  if (!data) return null;
  const { people, by_link, minutes, from } = data;
  const most = Math.max(...minutes);
  const busiest = from + minutes.indexOf(most) * 60_000;
  const chapter = chapters.findLast(({ at }) => at <= busiest + 60_000)?.title;
  return (
    <Box
      component="section"
      aria-label="Who watched"
      sx={{ mt: 2, pt: 2, borderTop: 1, borderColor: 'divider', fontSize: 14 }}
    >
      <strong>Who watched</strong>
      {people.length === 0 && by_link === 0 ? (
        <Box sx={{ color: 'text.secondary' }}>Nobody yet.</Box>
      ) : (
        <>
          <Box
            aria-hidden
            sx={{ display: 'flex', alignItems: 'end', height: 36, my: 1, borderBottom: 1, borderColor: 'divider' }}
          >
            {minutes.map((viewers, minute) => (
              <Box key={minute} sx={{ flex: 1, height: `${(viewers / most) * 100}%`, bgcolor: 'primary.main' }} />
            ))}
          </Box>
          <Box sx={{ color: 'text.secondary' }}>
            Watched most at {clockTime(busiest)}
            {chapter && ` in “${chapter}”`}, by {most}
            {by_link > 0 && ` · ${count(by_link, 'browser')} by link`}
          </Box>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0 }}>
            {people.map(({ name, minutes: watched, seen_at }) => (
              <Box key={name} component="li" sx={{ display: 'flex' }}>
                <Box sx={{ flex: 1 }}>{name}</Box>
                <Box sx={{ color: 'text.secondary' }}>
                  {watched} min, last {day(seen_at, 'short')}
                </Box>
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}
