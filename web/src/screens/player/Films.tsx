import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, post, remove } from '../../api/http';
import type { RecordingExport, RecordingFacts } from '../../api/shapes';
import { clockTime, day } from '../../parts/words/times';
import { sizeOf } from '../../parts/words/sizes';

/** ms after which it is asked how far they are. */
const ASK_EVERY = 1_500;

const FORMATS = { webm: 'WebM', mp4: 'MP4' } as const;

interface Props {
  recording: RecordingFacts;
  /** Of captions. */
  languages: string[];
}

/** For staff: has films made of a recording, tells how far they are, and gives those that are there. */
export function Films({ recording, languages }: Props) {
  const path = `/api/recordings/${recording.id}/exports`;
  const key = ['recording-exports', recording.id];
  const queries = useQueryClient();
  const keep = (facts: { exports: RecordingExport[] }) => queries.setQueryData(key, facts);
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => get<{ exports: RecordingExport[] }>(path),
    refetchInterval: ({ state }) => (state.data?.exports.some(underWay) ? ASK_EVERY : false),
  });
  const [formats, setFormats] = useState<(keyof typeof FORMATS)[]>(['mp4']);
  const [captions, setCaptions] = useState('track');
  const make = useMutation({
    mutationFn: () => {
      const [how, lang] = captions.split(' ');
      return post<{ exports: RecordingExport[] }>(`${path}/films`, { formats, captions: how, lang: lang ?? null });
    },
    onSuccess: keep,
  });
  const zip = useMutation({
    mutationFn: () => post<{ exports: RecordingExport[] }>(`${path}/zips`),
    onSuccess: keep,
  });
  const drop = useMutation({
    mutationFn: (id: string) => remove<{ exports: RecordingExport[] }>(`${path}/${id}`),
    onSuccess: keep,
  });
  const error = make.error ?? zip.error ?? drop.error;
  return (
    <Box component="section" aria-label="A film" sx={{ mt: 2, pt: 2, borderTop: 1, borderColor: 'divider' }}>
      <Box component="h2" sx={{ m: 0, fontSize: 16 }}>
        A film
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        Boards, pointer, who was seen, screens, clips and sound, with chapters, as the recording is edited now.
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        {(Object.keys(FORMATS) as (keyof typeof FORMATS)[]).map((format) => (
          <FormControlLabel
            key={format}
            label={FORMATS[format]}
            control={
              <Checkbox
                checked={formats.includes(format)}
                onChange={(_, on) => setFormats(on ? [...formats, format] : formats.filter((one) => one !== format))}
              />
            }
          />
        ))}
        {languages.length > 0 && (
          <TextField
            select
            size="small"
            label="Captions"
            value={captions}
            onChange={(event) => setCaptions(event.target.value)}
            sx={{ flex: '1 1 180px' }}
          >
            <MenuItem value="track">To be switched on</MenuItem>
            {languages.map((lang) => (
              <MenuItem key={lang} value={`burnt ${lang}`}>
                In the picture, {lang}
              </MenuItem>
            ))}
            <MenuItem value="none">None</MenuItem>
          </TextField>
        )}
        <Button
          variant="contained"
          color="primary"
          disabled={formats.length === 0 || make.isPending}
          onClick={() => make.mutate()}
        >
          Make the film
        </Button>
      </Box>
      {error && (
        <Box role="alert" sx={{ mt: 1, fontSize: 14 }}>
          {error.message}
        </Box>
      )}
      <Box component="h2" sx={{ m: 0, mt: 2, fontSize: 16 }}>
        All of it
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
        <Box sx={{ flex: '1 1 260px', fontSize: 14, color: 'text.secondary' }}>
          One zip of open formats, to be kept or brought to another Veranda.
        </Box>
        <Button disabled={zip.isPending} onClick={() => zip.mutate()}>
          Make the zip
        </Button>
      </Box>
      {data?.exports.map((one) => (
        <Made key={one.id} {...{ one, path }} onDrop={() => drop.mutate(one.id)} />
      ))}
    </Box>
  );
}

const underWay = ({ state }: RecordingExport) => state === 'waiting' || state === 'making';

interface MadeProps {
  one: RecordingExport;
  path: string;
  onDrop: () => void;
}

function Made({ one, path, onDrop }: MadeProps) {
  const { id, state, done, says, files, made_at } = one;
  return (
    <Box sx={{ mt: 1.5, fontSize: 14 }} data-testid="export">
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
        <Box sx={{ flex: '1 1 180px' }} role="status">
          {named(one)}, asked for {day(made_at, 'short')}, {clockTime(made_at)}
          <Box sx={{ color: 'text.secondary' }}>{says ?? STANDS[state](Math.round(done * 100))}</Box>
        </Box>
        {state === 'ready' &&
          files.map(({ name, size }) => (
            <Button key={name} size="small" component="a" href={`${path}/${id}/${name}`} download>
              Save {FORMATS[name.split('.').at(-1) as keyof typeof FORMATS] ?? 'the zip'}, {sizeOf(size)}
            </Button>
          ))}
        <Button size="small" color="error" onClick={onDrop}>
          {underWay(one) ? 'Stop it' : 'Throw it away'}
        </Button>
      </Box>
      {underWay(one) && (
        <LinearProgress
          aria-label={`${named(one)} is being made`}
          variant={state === 'waiting' ? 'indeterminate' : 'determinate'}
          value={done * 100}
          sx={{ mt: 0.5 }}
        />
      )}
    </Box>
  );
}

const STANDS: Record<RecordingExport['state'], (percent: number) => string> = {
  waiting: () => 'It is made as soon as what was asked for before is there.',
  making: (percent) => `${percent} % is made. You can go on meanwhile.`,
  ready: () => 'It is there.',
  failed: () => 'It could not be made.',
  outdated: () => 'The recording was edited since, so this is given to nobody. Make it again.',
};

const named = ({ kind, formats, captions }: RecordingExport) =>
  kind === 'zip'
    ? 'Zip of all'
    : `Film as ${formats.map((format) => FORMATS[format as keyof typeof FORMATS]).join(' and ')}${captions === 'burnt' ? ', captions in the picture' : ''}`;
