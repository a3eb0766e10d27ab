import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import Box from '@mui/material/Box';
import type { BoardRow, Step } from '../../api/shapes';
import { cueName } from '../../cues/kinds';
import { rulesInShort } from '../../parts/words/rules';
import { clockTime } from '../../parts/words/times';

interface RowProps {
  step: Step;
  startsAt: number | undefined;
  selected: boolean;
  boardName: string | undefined;
  boards: BoardRow[];
  records: boolean;
  onSelect: () => void;
}

/** One step of the run sheet: when it begins, what it shows and brings, and a grip to move it by. */
export function RunSheetRow({ step, startsAt, selected, boardName, boards, records, onSelect }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      sx={{
        display: 'flex',
        alignItems: 'stretch',
        borderBottom: 1,
        borderColor: 'divider',
        borderLeft: 4,
        borderLeftColor: selected ? 'primary.main' : 'transparent',
        bgcolor: selected ? 'veranda.wash' : 'background.paper',
        position: 'relative',
        zIndex: isDragging ? 1 : 0,
      }}
    >
      <Box
        component="button"
        aria-pressed={selected}
        onClick={onSelect}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'grid',
          gridTemplateColumns: '46px 1fr auto',
          gap: 0.75,
          p: 1.25,
          pl: 0.75,
          pr: 0.5,
          border: 0,
          background: 'none',
          font: 'inherit',
          color: 'inherit',
          textAlign: 'left',
          cursor: 'pointer',
        }}
      >
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{startsAt ? clockTime(startsAt) : ''}</Box>
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontWeight: 700, overflow: 'hidden', textOverflow: 'ellipsis' }}>{step.title}</Box>
          <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', mt: 0.5 }}>
            {boardName && <Chip>{boardName}</Chip>}
            {step.rules && <Chip>{rulesInShort(step.rules)}</Chip>}
            {step.cues.map((cue) => (
              <Chip key={cue.id}>{cueName(cue, boards)}</Chip>
            ))}
            {records && <Chip>start recording</Chip>}
          </Box>
        </Box>
        <strong>{step.minutes}</strong>
      </Box>
      <Box
        component="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${step.title}`}
        title="Drag, or press space and the arrow keys"
        sx={{ width: 24, border: 0, background: 'none', cursor: 'grab', color: 'text.secondary', p: 0 }}
      >
        <svg width="8" height="20" aria-hidden fill="currentColor">
          {[4, 10, 16].flatMap((y) => [1.5, 6.5].map((x) => <circle key={`${x}-${y}`} cx={x} cy={y} r="1.3" />))}
        </svg>
      </Box>
    </Box>
  );
}

function Chip({ children }: { children: string }) {
  return (
    <Box
      sx={{
        px: 0.75,
        fontSize: 13,
        border: 1,
        borderColor: 'divider',
        borderRadius: 0.6,
        maxWidth: 1,
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        whiteSpace: 'nowrap',
      }}
    >
      {children}
    </Box>
  );
}
