import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, remove } from '../../api/http';
import type { GuestFacts } from '../../api/shapes';
import { clockTime, count, day } from '../../parts/words/times';

/** The links that let people into a lesson's classes and the guests who came by them; each can be taken back. */
export function ComeByLink({ lesson }: { lesson: string }) {
  const queries = useQueryClient();
  const key = ['guests', lesson];
  const { data } = useQuery({ queryKey: key, queryFn: () => get<GuestFacts>(`/api/lessons/${lesson}/guests`) });
  const takeBack = useMutation({
    mutationFn: (path: string) => remove<GuestFacts>(`/api/lessons/${lesson}/${path}`),
    onSuccess: (facts) => queries.setQueryData(key, facts),
  });
  if (!data || data.links.length + data.guests.length === 0) return null;
  const cameBy = (link: string) => data.guests.filter(({ link_id }) => link_id === link).length;
  return (
    <Box component="section" aria-label="Links and guests" sx={{ mt: 2 }}>
      <Box component="h3" sx={{ typography: 'h3', m: 0, mb: 0.5 }}>
        Links that let people in
      </Box>
      {data.links.map(({ id, made_at, expires_at }) => (
        <Row
          key={id}
          says={`Made ${day(made_at, 'short')} ${clockTime(made_at)}${expires_at ? `, good until ${day(expires_at, 'short')}` : ''}`}
          more={cameBy(id) > 0 ? `${count(cameBy(id), 'guest')} came by it` : 'nobody has used it'}
          act="Take it back"
          onAct={() => takeBack.mutate(`links/${id}`)}
        />
      ))}
      {data.links.length === 0 && <Box sx={{ fontSize: 14 }}>None is good any more.</Box>}
      {data.guests.length > 0 && (
        <>
          <Box component="h3" sx={{ typography: 'h3', m: 0, mt: 1.5, mb: 0.5 }}>
            Guests
          </Box>
          {data.guests.map(({ id, name }) => (
            <Row key={id} says={name} act="Let in no more" onAct={() => takeBack.mutate(`guests/${id}`)} />
          ))}
        </>
      )}
      {takeBack.error && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {takeBack.error.message}
        </Box>
      )}
    </Box>
  );
}

interface RowProps {
  says: string;
  more?: string;
  act: string;
  onAct: () => void;
}

function Row({ says, more, act, onAct }: RowProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44, fontSize: 14 }}>
      <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
        {says}
        {more && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{more}</Box>}
      </Box>
      <Button onClick={onAct} aria-label={`${act}: ${says}`}>
        {act}
      </Button>
    </Box>
  );
}
