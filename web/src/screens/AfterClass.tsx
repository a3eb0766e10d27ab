import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { get, post } from '../api/http';
import type { AfterClass as Facts } from '../api/shapes';
import { Ribbon } from '../parts/frame/Ribbon';
import { Waiting } from '../parts/frame/Waiting';
import { SaveAs } from '../parts/files/SaveAs';
import { useSaving } from '../parts/hooks/useSaving';
import { clockTime, count, day, duration } from '../parts/words/times';
import { ShownBars } from './after/ShownBars';

/** What is left of a class, on one page: its recording, boards, polls, words, and what was played and posted. */
export default function AfterClass() {
  const { id } = useParams();
  const { data, error } = useQuery({
    queryKey: ['after', id],
    queryFn: () => get<Facts>(`/api/classes/${id}/after`),
    retry: false,
  });
  if (!data) return <Waiting says={error?.message ?? 'Gathering what is left of the class'} />;
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={data.title} under={`${data.course}, evening ${data.number}`} />
      <Box component="main" sx={{ flex: 1, overflowY: 'auto', p: { xs: 1.5, md: 3 } }}>
        <Box sx={{ maxWidth: 880, mx: 'auto', display: 'flex', flexDirection: 'column', gap: 2 }}>
          <Box sx={{ color: 'text.secondary' }}>
            {data.opened !== null && `${day(data.opened)}, ${clockTime(data.opened)} to ${clockTime(data.ended)}`}
            {data.taught.length > 0 && ` · taught by ${data.taught.join(' and ')}`}
          </Box>
          <Recorded {...{ data }} />
          <Boards {...{ data }} />
          {data.polls.length > 0 && (
            <Part title="Polls" under="As they were shown to everyone.">
              {data.polls.map(({ text, round, rows }) => (
                <ShownBars key={`${text} ${round}`} {...{ text, round, rows }} />
              ))}
            </Part>
          )}
          {data.files.length > 0 && (
            <Part title="Played and posted">
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {data.files.map(({ title, address }) => (
                  <li key={address}>
                    <a href={address} target="_blank" rel="noreferrer">
                      {title}
                    </a>
                  </li>
                ))}
              </Box>
            </Part>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function Part({ title, under, children }: { title: string; under?: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ p: 2, bgcolor: 'background.paper', border: 1, borderColor: 'divider', borderRadius: 1.25 }}
    >
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        {title}
      </Box>
      {under && <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{under}</Box>}
      <Box sx={{ mt: 1 }}>{children}</Box>
    </Box>
  );
}

const FORMATS = [
  ['txt', 'Text'],
  ['csv', 'CSV'],
  ['vtt', 'WebVTT'],
] as const;

function Recorded({ data: { id, staff, recording, said, posts } }: { data: Facts }) {
  const saving = useSaving();
  if (!recording)
    return (
      <Part title="Recording">
        {staff
          ? 'Nothing was recorded.'
          : 'Nothing to watch yet. Once your instructor shares a recording, it opens here with all that was written.'}
      </Part>
    );
  const written = [said > 0 && count(said, 'line') + ' of what was said', posts > 0 && count(posts, 'post')].filter(
    Boolean,
  );
  return (
    <Part title="Recording" under={`${duration(recording.length)} long`}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button component={Link} to={`/recordings/${id}`} variant="contained" color="primary">
          Watch it
        </Button>
        {recording.chapters.map(({ at, title, from }) => (
          <Button key={at} component={Link} to={`/recordings/${id}?at=${at}`}>
            {title}, {duration(from)}
          </Button>
        ))}
      </Box>
      {written.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <SaveAs
            what={`Transcript, ${written.join(' and ')}`}
            formats={FORMATS}
            onSave={(format) => saving.save(`/api/recordings/${id}/transcript.${format}`)}
          />
        </Box>
      )}
      {saving.says && <Box role="status">{saving.says}</Box>}
    </Part>
  );
}

function Boards({ data: { id, lesson, recording, boards, staff } }: { data: Facts }) {
  const saving = useSaving();
  const copy = useMutation({
    mutationFn: (board: string) => post<{ id: string }>(`/api/classes/${id}/own_copies`, { board }),
  });
  if (boards.length === 0) return <Part title="Boards">No boards are open to you.</Part>;
  const under = recording ? 'As they were at the end of the class.' : 'Those that are open to you.';
  return (
    <Part title="Boards" {...{ under }}>
      {boards.map((board) => (
        <Box key={board.id} sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, py: 0.25 }}>
          <Box sx={{ flex: '1 1 200px' }}>
            {board.name}
            {board.pages !== null && board.pages > 1 && `, ${count(board.pages, 'page')}`}
          </Box>
          {recording && !staff && (
            <Button
              size="small"
              aria-label={`Take a copy of ${board.name}`}
              disabled={copy.isPending}
              onClick={() => copy.mutate(board.id)}
            >
              Take a copy
            </Button>
          )}
        </Box>
      ))}
      <Box role="status" sx={{ fontSize: 14 }}>
        {copy.error?.message}
        {copy.data && (
          <>
            The copy is yours to work on. <Link to={`/lessons/${lesson}?board=${copy.data.id}`}>Go to your copy</Link>
          </>
        )}
        {saving.says}
      </Box>
      <Box sx={{ mt: 1, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          onClick={() => saving.save(recording ? `/api/recordings/${id}/boards.pdf` : `/api/lessons/${lesson}.pdf`)}
        >
          Save them as one PDF
        </Button>
        <Button component={Link} to={`/lessons/${lesson}`}>
          Go to the lesson
        </Button>
      </Box>
    </Part>
  );
}
