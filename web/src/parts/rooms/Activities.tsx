import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, patch } from '../../api/http';
import type { PastActivity } from '../../api/shapes';
import { useSaving } from '../hooks/useSaving';
import { inWords } from '../exchange/audience';
import { firstName } from '../words/people';
import { day } from '../words/times';

interface Props {
  /** Id of the lesson. */
  lesson: string;
  /** Whether one teaches it. */
  staff: boolean;
}

/** What was made in the rooms of a lesson's classes, by name and date: all of it for staff, else of the rooms in which one sat. */
export function Activities({ lesson, staff }: Props) {
  const { data } = useQuery({
    queryKey: ['activities', lesson],
    queryFn: () => get<{ activities: PastActivity[] }>(`/api/lessons/${lesson}/activities`),
  });
  const saving = useSaving();
  const queries = useQueryClient();
  const share = useMutation({
    mutationFn: ({ activity, room, shared }: { activity: string; room: string; shared: boolean }) =>
      patch(`/api/lessons/${lesson}/activities/${activity}/rooms/${room}`, { shared }),
    onSettled: () => queries.invalidateQueries({ queryKey: ['activities', lesson] }),
  });
  if (!data || data.activities.length === 0) return null;
  return (
    <Box component="section" aria-label="Made in rooms" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ m: 0, mb: 0.5, typography: 'h2' }}>
        Made in rooms
      </Box>
      {data.activities.map(({ activity, name, at, rooms }) => (
        <Box key={activity} sx={{ mb: 1.5 }}>
          <Box>
            {name}
            {at !== null && <Box component="span" sx={{ color: 'text.secondary' }}>{`, ${day(at, 'short')}`}</Box>}
          </Box>
          {rooms.map((room) => (
            <Box
              key={room.id}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                columnGap: 1,
                minHeight: { xs: 44, md: 32 },
                py: 0.5,
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <Box sx={{ flex: '1 1 168px', minWidth: 0, fontSize: 14 }}>
                <strong>{room.name}</strong> {inWords(room.people.map((person) => firstName(person.name)))}
              </Box>
              {staff ? (
                <FormControlLabel
                  label="For all"
                  title="All of the class may look at it, and into this room in the recording"
                  sx={{ mr: 0 }}
                  control={
                    <Switch
                      size="small"
                      checked={room.shared}
                      disabled={share.isPending}
                      slotProps={{ input: { 'aria-label': `For all: ${room.name}` } }}
                      onChange={(_, shared) => share.mutate({ activity, room: room.id, shared })}
                    />
                  }
                />
              ) : (
                room.shared && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>for all</Box>
              )}
              {room.boards.map((board) => (
                <Button
                  key={board.id}
                  size="small"
                  aria-label={`PDF of ${board.name}`}
                  onClick={() => saving.save(`/api/boards/${board.id}.pdf`)}
                >
                  PDF
                </Button>
              ))}
            </Box>
          ))}
          {staff && rooms.length > 1 && (
            <Button size="small" onClick={() => saving.save(`/api/lessons/${lesson}/activities/${activity}.pdf`)}>
              All rooms as one PDF
            </Button>
          )}
        </Box>
      ))}
      {share.error && <Box role="alert">{share.error.message}</Box>}
      {saving.says && <Box role="status">{saving.says}</Box>}
    </Box>
  );
}
