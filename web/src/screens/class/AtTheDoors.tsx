import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import type { ReactNode } from 'react';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { ClassFacts } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import type { StaffState } from '../../live/staff';
import { sittingStream, staffStream } from '../../live/streams';
import { count } from '../../parts/words/times';

interface Props {
  /** Id of the class. */
  sitting: string;
  staff: StaffState;
  /** Whether the doors are open, so that people can be let in. */
  open: boolean;
}

/** The most that one command lets in. */
const AT_ONCE = 25;

/** For staff: who waits, who was removed, and how people come in. */
export function AtTheDoors({ sitting, staff, open }: Props) {
  const live = useLive();
  const letIn = (people: string[]) => {
    for (let i = 0; i < people.length; i += AT_ONCE)
      void live.do('class.let_in', sittingStream(sitting), { people: people.slice(i, i + AT_ONCE) });
  };
  const { waiting, removed, each } = staff;
  const { data: facts } = useQuery({
    queryKey: ['class', sitting],
    queryFn: () => get<ClassFacts>(`/api/classes/${sitting}`),
  });
  const ids = waiting.map(({ id }) => id).join(' ');
  const newcomers = useQuery({
    queryKey: ['newcomers', sitting, ids],
    queryFn: () => get<{ people: string[] }>(`/api/classes/${sitting}/newcomers`),
    enabled: ids !== '',
    staleTime: Infinity,
  });
  const fresh = new Set(newcomers.data?.people);
  const hint = ({ id, role, held, link_of }: StaffState['waiting'][number]) =>
    [
      link_of ? `by the link of ${link_of}, who was removed` : held && 'sent back to wait',
      fresh.has(id) && 'here for the first time',
      role === 'guest' && 'guest',
    ]
      .filter(Boolean)
      .join(' · ') || undefined;
  return (
    <Box component="section" aria-label="At the doors">
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {waiting.length === 0 ? 'Nobody waits' : `${count(waiting.length, 'person', 'people')} waiting`}
      </Box>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {waiting.map((row) => (
          <Person key={row.id} name={row.name} hint={hint(row)}>
            {open && <Button onClick={() => letIn([row.id])}>Let in</Button>}
            <Button
              aria-label={`Remove ${row.name}`}
              sx={{ border: 'none', bgcolor: 'transparent', color: 'text.secondary' }}
              onClick={() => void live.do('class.remove', sittingStream(sitting), { person: row.id, place: 'waiting' })}
            >
              Remove
            </Button>
          </Person>
        ))}
        {removed.map(({ id, name }) => (
          <Person key={id} name={name} hint="removed">
            <Button onClick={() => void live.do('class.let_back', staffStream(sitting), { person: id })}>
              Let back
            </Button>
          </Person>
        ))}
      </Box>
      {open && waiting.length > 1 && (
        <Button sx={{ width: 1, my: 0.5 }} onClick={() => letIn(waiting.map(({ id }) => id))}>
          Let all {waiting.length} in
        </Button>
      )}
      <Box sx={{ display: 'flex', alignItems: 'center', fontSize: 14, minHeight: 34 }}>
        <Box sx={{ flex: 1 }}>{each ? 'Each comes in when let in' : 'Everyone comes straight in'}</Box>
        <Switch
          size="small"
          checked={!each}
          slotProps={{ input: { 'aria-label': 'Everyone comes straight in' } }}
          onChange={(_, straight) => void live.do('class.set_doors', staffStream(sitting), { each: !straight })}
        />
      </Box>
      {facts?.telephone && (
        <Box sx={{ fontSize: 14 }}>
          By telephone: code{' '}
          <Box component="strong" sx={{ fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>
            {facts.telephone.replace(/(?=.{4}$)/, ' ')}
          </Box>
        </Box>
      )}
    </Box>
  );
}

function Person({ name, hint, children }: { name: string; hint?: string; children: ReactNode }) {
  return (
    <Box component="li" sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 0.5, py: 0.5 }}>
      <Box dir="auto" sx={{ flex: '1 1 90px', minWidth: 0, overflowWrap: 'anywhere' }}>
        {name}
        {hint && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{hint}</Box>}
      </Box>
      <Box sx={{ display: 'flex' }}>{children}</Box>
    </Box>
  );
}
