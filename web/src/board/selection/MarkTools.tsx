import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import type { Mark } from '../../api/shapes';
import { Words } from '../../parts/words/Words';
import { InkRow } from '../ledge/InkRow';
import type { Hold } from '../Surface';
import type { Way } from '../useBoardCommands';

interface Props extends Hold {
  staff: boolean;
  me: string;
  authors: ReadonlyMap<string, string>;
}

const LINES: [Way, string][] = [
  ['left', 'Line up left'],
  ['centre', 'Centre'],
  ['right', 'Line up right'],
  ['top', 'Line up top'],
  ['middle', 'Middle'],
  ['bottom', 'Line up bottom'],
];
// The smallest can still be read on a laptop.
const LETTERS: [number, string][] = [
  [32, 'Small'],
  [46, 'Medium'],
  [72, 'Large'],
];
const LINE_WIDTHS: [number, string][] = [
  [2, 'Fine'],
  [4, 'Medium'],
  [8, 'Broad'],
];
const SPACES: [Way, string][] = [
  ['space_across', 'Space across'],
  ['space_down', 'Space down'],
];
const SORTS: [Way, string][] = [
  ['sort_column', 'Sort A–Z down'],
  ['sort_row', 'Sort A–Z across'],
];
const PILES: [Way, string][] = [
  ['to_front', 'To the front'],
  ['forward', 'Forward'],
  ['backward', 'Backward'],
  ['to_back', 'To the back'],
];

/** Everything that can be done with what is chosen, in words and in groups. */
export function MarkTools({ selection, actions, rewrite, staff, me, authors }: Props) {
  const { selected, movable, single } = selection;
  if (selected.length === 0) return null;
  const several = movable.length > 1;
  const words = movable.filter((mark) => mark.text?.trim()).length > 1;
  const strokes = movable.some((mark) => mark.kind === 'stroke');
  const filled = movable.filter((mark) => ['rectangle', 'ellipse', 'polygon'].includes(mark.kind));
  const grouped = movable.some((mark) => mark.group);
  const ways = (list: [Way, string][]) =>
    list.map(([way, name]) => (
      <Button key={way} onClick={() => actions.arrange(way)}>
        {name}
      </Button>
    ));

  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }} data-testid="mark-tools">
      <Box>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          {selected.length === 1 ? `${nameOf(selected[0]!)} chosen` : `${selected.length} marks chosen`}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{whose(selected, me, authors)}</Box>
      </Box>
      {movable.length > 0 && (
        <Part name="Ink">
          <InkRow ink={sharedInk(selected)} onInk={actions.recolour} />
        </Part>
      )}
      {movable.some((mark) => mark.size !== undefined) && (
        <Part name="Letters">
          {LETTERS.map(([size, name]) => (
            <Button key={size} aria-pressed={single?.size === size} onClick={() => actions.write(size)}>
              {name}
            </Button>
          ))}
        </Part>
      )}
      {movable.some((mark) => mark.width !== undefined) && (
        <Part name="Line">
          {LINE_WIDTHS.map(([width, name]) => (
            <Button key={width} aria-pressed={single?.width === width} onClick={() => actions.widen(width)}>
              {name}
            </Button>
          ))}
        </Part>
      )}
      {single?.kind === 'image' && (
        <Words
          key={single.id}
          label="What the picture shows"
          value={single.alt ?? ''}
          lines={2}
          onSave={actions.describe}
        />
      )}
      {movable.length > 0 && (
        <Part name="Change">
          {single?.text !== undefined && <Button onClick={rewrite}>Write</Button>}
          {strokes && <Button onClick={actions.straighten}>Straighten</Button>}
          {filled.length > 0 && (
            <Button onClick={() => actions.fill(!filled.every((mark) => mark.fill))}>
              {filled.every((mark) => mark.fill) ? 'Leave empty' : 'Fill'}
            </Button>
          )}
          <Button onClick={actions.duplicate}>Duplicate</Button>
          {several && !grouped && <Button onClick={actions.group}>Group</Button>}
          {grouped && <Button onClick={actions.ungroup}>Ungroup</Button>}
          <Button color="error" onClick={actions.takeOff}>
            Take off
          </Button>
        </Part>
      )}
      {words && <Part name="Sort">{ways(SORTS)}</Part>}
      {several && <Part name="Line up">{ways(LINES)}</Part>}
      {movable.length > 2 && <Part name="Space">{ways(SPACES)}</Part>}
      {movable.length > 0 && <Part name="Order">{ways(PILES)}</Part>}
      {staff && (
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <Box sx={{ flex: 1 }}>Lock for students</Box>
          <Switch
            checked={selected.every((mark) => mark.locked)}
            slotProps={{ input: { 'aria-label': 'Lock for students' } }}
            onChange={(_, locked) => actions.lock(locked)}
          />
        </Box>
      )}
    </Box>
  );
}

function Part({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>{name}</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, '& .MuiButton-root': { px: 1.1, minHeight: 30 } }}>
        {children}
      </Box>
    </Box>
  );
}

const NAMES: Record<string, string> = { stroke: 'Stroke', highlight: 'Highlight', image: 'Picture', sign: 'Mark' };
const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);
const nameOf = (mark: Mark) => capital(mark.prop ?? NAMES[mark.kind] ?? mark.kind);
const sharedInk = (marks: Mark[]) => (marks.every((mark) => mark.ink === marks[0]!.ink) ? marks[0]!.ink : null);

function whose(marks: Mark[], me: string, authors: ReadonlyMap<string, string>): string {
  const people = [...new Set(marks.map((mark) => mark.by))];
  const names = people.map((id) => (id === me ? 'you' : (authors.get(id) ?? 'someone')));
  return `by ${names.length > 3 ? `${names.length} people` : names.join(' and ')}`;
}
