import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, post, remove } from '../../api/http';
import type { LinkRow, MadeLink, RecordingFacts } from '../../api/shapes';
import { clockTime, day } from '../../parts/words/times';
import { onTheDay } from './edit/onTheDay';

/** Days for which a link is good, when nobody says otherwise, and at most. */
const DAYS = 30;
const MOST_DAYS = 365;

interface Props {
  recording: RecordingFacts;
  /** Where one is, ms since the epoch. */
  wallNow: () => number;
}

const EMPTY = { days: String(DAYS), password: '', accounts: false, from: '', to: '' };

/** Links to a recording: for how long, with which password, for whom, and what of it they show. */
export function ShareLinks({ recording, wallNow }: Props) {
  const queries = useQueryClient();
  const path = `/api/recordings/${recording.id}/links`;
  const key = ['recording-links', recording.id];
  const links = useQuery({ queryKey: key, queryFn: () => get<{ links: LinkRow[] }>(path) });
  const [wish, setWish] = useState(EMPTY);
  const set = (some: Partial<typeof EMPTY>) => setWish((before) => ({ ...before, ...some }));
  const within = { from: recording.stretches[0]![0], to: recording.stretches.at(-1)![1] };
  const moment = (time: string) => (time === '' ? null : onTheDay(time, within));
  const wrong = (time: string) => time !== '' && moment(time) === null;
  const nothing = !wrong(wish.from) && !wrong(wish.to) && !overlaps(recording, moment(wish.from), moment(wish.to));
  const make = useMutation({
    mutationFn: () =>
      post<MadeLink>(path, {
        days: Math.min(Math.max(Math.round(Number(wish.days)) || DAYS, 1), MOST_DAYS),
        password: wish.password || null,
        accounts_only: wish.accounts,
        from: moment(wish.from),
        to: moment(wish.to),
      }),
    onSuccess: () => links.refetch(),
  });
  const revoke = useMutation({
    mutationFn: (id: string) => remove<{ links: LinkRow[] }>(`${path}/${id}`),
    onSuccess: (facts) => queries.setQueryData(key, facts),
  });
  const text = make.data && invitation(recording, make.data, wish.password);
  return (
    <Box sx={{ mt: 2, pt: 2, borderTop: 1, borderColor: 'divider' }}>
      <strong>By link</strong>
      <Box sx={{ fontSize: 14, color: 'text.secondary', mb: 1.5 }}>
        Works until you take it back, or its days are over. Whoever watches sees the recording as it is edited.
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '90px 1fr' }, gap: 1 }}>
        <TextField
          size="small"
          label="Days"
          value={wish.days}
          onChange={(event) => set({ days: event.target.value })}
          slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 3 } }}
        />
        <TextField
          size="small"
          label="Password, if you want one"
          value={wish.password}
          onChange={(event) => set({ password: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 200, autoComplete: 'off' } }}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
        {(['from', 'to'] as const).map((end) => (
          <Box key={end} sx={{ display: 'flex', gap: 0.5, flex: '1 1 200px' }}>
            <TextField
              size="small"
              label={end === 'from' ? 'Only from' : 'Only to'}
              placeholder={clockTime(within[end], true)}
              value={wish[end]}
              error={wrong(wish[end])}
              onChange={(event) => set({ [end]: event.target.value })}
              slotProps={{ htmlInput: { maxLength: 8 }, inputLabel: { shrink: true } }}
              sx={{ flex: 1 }}
            />
            <Button size="small" onClick={() => set({ [end]: clockTime(wallNow(), true) })}>
              Here
            </Button>
          </Box>
        ))}
      </Box>
      <FormControlLabel
        control={<Checkbox checked={wish.accounts} onChange={(_, accounts) => set({ accounts })} />}
        label="Only for people who sign in"
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          disabled={make.isPending || nothing || wrong(wish.from) || wrong(wish.to)}
          onClick={() => make.mutate()}
        >
          Make a link
        </Button>
        {text && <Button onClick={() => void navigator.clipboard?.writeText(text)}>Copy it</Button>}
      </Box>
      {nothing && <Box role="status">Nothing was recorded in that stretch. Choose another.</Box>}
      {make.error && <Box role="alert">{make.error.message}</Box>}
      {text && (
        <Box
          data-testid="share-link"
          sx={{
            ...{ mt: 1, p: 1.25, fontSize: 14, overflowWrap: 'anywhere', whiteSpace: 'pre-line' },
            ...{ bgcolor: 'background.default', borderRadius: 1 },
          }}
        >
          {text}
        </Box>
      )}
      {links.data?.links.map((link) => (
        <Box key={link.id} sx={{ display: 'flex', alignItems: 'center', fontSize: 14, mt: 1 }}>
          <Box sx={{ flex: 1 }}>
            Link made {day(link.made_at, 'short')}, {clockTime(link.made_at)}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {limits(link).map((words) => ` · ${words}`)}
            </Box>
          </Box>
          <Button color="error" size="small" onClick={() => revoke.mutate(link.id)}>
            Take it back
          </Button>
        </Box>
      ))}
    </Box>
  );
}

/** @returns whether anything of a recording lies between two times of day; without one, from its beginning or to its end */
const overlaps = ({ stretches }: RecordingFacts, from: number | null, to: number | null): boolean =>
  stretches.some(([start, stop]) => (from ?? start) < stop && (to ?? stop) > start && (from ?? start) < (to ?? stop));

/** What a link asks for, and what it shows, in words. */
const limits = ({ expires_at, password, accounts_only, from, to }: LinkRow): string[] =>
  [
    expires_at && `until ${day(expires_at, 'short')}`,
    password && 'with a password',
    accounts_only && 'who signs in',
    from && `from ${clockTime(from, true)}`,
    to && `to ${clockTime(to, true)}`,
  ].filter((words): words is string => Boolean(words));

/** A text to be sent to whoever is to watch. */
const invitation = ({ title, at }: RecordingFacts, { token, expires_at }: MadeLink, password: string): string =>
  [
    `“${title}”, recorded ${day(at)}:`,
    `${location.origin}/enter/${token}`,
    password && `Password: ${password}`,
    expires_at && `You can watch it until ${day(expires_at)}.`,
  ]
    .filter(Boolean)
    .join('\n');
