import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { NewMark } from '../../live/board';
import { InkRow } from '../ledge/InkRow';
import type { Ink } from '../ledge/sticks';
import { PROPS, type PropKind } from './kinds';

type Settings = NonNullable<NewMark['settings']>;

const SHAPES: [NonNullable<Settings['shape']>, string][] = [
  ['round', 'Round'],
  ['square', 'Square'],
  ['triangle', 'Triangle'],
  ['diamond', 'Diamond'],
  ['star', 'Star'],
  ['boat', 'Boat'],
];

export interface PropFacts {
  prop: PropKind;
  settings: Settings;
  ink: Ink;
  w: number;
  h: number;
}

interface Props {
  kind: PropKind;
  /** Whether there are people present to pick from. */
  inClass: boolean;
  onPut: (facts: PropFacts) => void;
  onClose: () => void;
}

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** Asks for what a prop needs to know before it is put on the board. */
export function NewProp({ kind, inClass, onPut, onClose }: Props) {
  const [ink, setInk] = useState<Ink>('lake');
  const [count, setCount] = useState('2');
  const [faces, setFaces] = useState('6');
  const [labels, setLabels] = useState('');
  const [shape, setShape] = useState<NonNullable<Settings['shape']>>('round');
  const [minutes, setMinutes] = useState('5');
  const [names, setNames] = useState('');
  const put = (settings: Settings, w: number, h: number) => onPut({ prop: kind, settings, ink, w, h });

  // "Rain 3" is three times as likely as "Sun"
  const parts = lines(labels).map((line) => /^(.*?)(?:\s+(\d+(?:\.\d+)?))?$/.exec(line)!);
  const dice = Math.min(Math.max(Number(count) || 1, 1), 12);
  const makers: Record<PropKind, { fine: boolean; put: () => void }> = {
    dice: {
      fine: /^\d{1,2}$/.test(count) && /^\d{1,3}$/.test(faces) && Number(faces) >= 2 && Number(faces) <= 100,
      put: () => put({ count: dice, faces: Number(faces) }, dice * 110, 110),
    },
    spinner: {
      fine: parts.length >= 2 && parts.length <= 24,
      put: () =>
        put(
          { labels: parts.map((part) => part[1]!), weights: parts.map((part) => Number(part[2] ?? 1) || 1) },
          340,
          340,
        ),
    },
    counter: { fine: true, put: () => put({ shape }, 72, 72) },
    timer: {
      fine: Number(minutes) * 60 >= 5 && Number(minutes) <= 600,
      put: () => put({ seconds: Math.round(Number(minutes) * 60) }, 220, 100),
    },
    picker: { fine: inClass || lines(names).length > 0, put: () => put({ names: lines(names) }, 320, 140) },
  };
  const { fine, put: make } = makers[kind];
  const number = { slotProps: { htmlInput: { inputMode: 'decimal' as const } } };

  return (
    <Dialog open onClose={onClose} aria-labelledby="new-prop">
      <DialogContent sx={{ width: 380, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="new-prop" sx={{ m: 0, typography: 'h2' }}>
          {PROPS.find(([name]) => name === kind)![1]}
        </Box>
        {kind === 'dice' && (
          <Box sx={{ display: 'flex', gap: 1 }}>
            <TextField
              size="small"
              autoFocus
              label="How many"
              value={count}
              onChange={(event) => setCount(event.target.value)}
              {...number}
            />
            <TextField
              size="small"
              label="Faces"
              value={faces}
              onChange={(event) => setFaces(event.target.value)}
              {...number}
            />
          </Box>
        )}
        {kind === 'spinner' && (
          <TextField
            autoFocus
            multiline
            minRows={4}
            label="Labels, one on each line"
            helperText="A number after a label makes it that much likelier: Fog 2"
            value={labels}
            onChange={(event) => setLabels(event.target.value)}
          />
        )}
        {kind === 'counter' && (
          <TextField
            select
            size="small"
            label="Shape"
            value={shape}
            onChange={(event) => setShape(event.target.value as typeof shape)}
          >
            {SHAPES.map(([name, says]) => (
              <MenuItem key={name} value={name}>
                {says}
              </MenuItem>
            ))}
          </TextField>
        )}
        {kind === 'timer' && (
          <TextField
            size="small"
            autoFocus
            label="Minutes"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
            {...number}
          />
        )}
        {kind === 'picker' && (
          <TextField
            autoFocus
            multiline
            minRows={4}
            label="Names, one on each line"
            helperText="Leave it empty to pick among the students present."
            value={names}
            onChange={(event) => setNames(event.target.value)}
          />
        )}
        <InkRow ink={ink} onInk={setInk} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button variant="contained" color="primary" disabled={!fine} onClick={make}>
          Put on the board
        </Button>
      </DialogActions>
    </Dialog>
  );
}
