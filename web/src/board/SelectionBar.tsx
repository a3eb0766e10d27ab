import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { INKS } from '../api/contracts';
import { INK_NAMES, type Ink } from './sticks';
import type { Selection } from './useSelection';
import type { View } from './useView';

interface Props {
  selection: Selection;
  view: View;
  staff: boolean;
  onInk: (ink: Ink) => void;
  onLock: (locked: boolean) => void;
  onRemove: () => void;
  onWrite: () => void;
}

/** What can be done with the selection, in words, right above it. */
export function SelectionBar({ selection, view, staff, onInk, onLock, onRemove, onWrite }: Props) {
  const { box, selected, target } = selection;
  if (!box || target) return null;
  const locked = selected.every((mark) => mark.locked);
  const written = selected.length === 1 && selected[0]!.text !== undefined;
  const top = (box.y - view.y) * view.scale - 62;
  return (
    <Box
      role="toolbar"
      aria-label={`${selected.length} selected`}
      onPointerDown={(event) => event.stopPropagation()}
      sx={{
        position: 'absolute',
        left: Math.max((box.x - view.x) * view.scale - 10, 8),
        top: top < 8 ? (box.y + box.h - view.y) * view.scale + 18 : top,
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        p: 0.5,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        boxShadow: '0 4px 14px rgb(35 49 58 / .12)',
        '& .MuiButton-root': { minWidth: 0, px: 1, border: 'none' },
      }}
    >
      {INK_NAMES.map((ink) => (
        <Box
          key={ink}
          component="button"
          aria-label={`Ink ${ink}`}
          title={ink}
          onClick={() => onInk(ink)}
          sx={{
            width: 24,
            height: 24,
            border: 'none',
            borderRadius: 0.75,
            bgcolor: INKS[ink],
            cursor: 'pointer',
            boxShadow: selected.every((mark) => mark.ink === ink) ? '0 0 0 2px #FFFDF9, 0 0 0 4px #23313A' : 'none',
          }}
        />
      ))}
      {written && <Button onClick={onWrite}>Write</Button>}
      {staff && <Button onClick={() => onLock(!locked)}>{locked ? 'Unlock' : 'Lock'}</Button>}
      <Button color="error" onClick={onRemove}>
        Take off
      </Button>
    </Box>
  );
}
