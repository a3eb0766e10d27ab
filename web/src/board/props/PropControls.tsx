import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Mark } from '../../api/shapes';
import { boundsOf } from '../geometry/boxes';
import type { Action } from '../useBoardCommands';
import type { View } from '../hand/useView';

interface Props {
  mark: Mark;
  view: View;
  /** Why not, when one may not use props. */
  reason: string | null;
  onUse: (action: Action) => void;
}

function actionsOf(mark: Mark): [Action, string][] {
  switch (mark.prop) {
    case 'dice':
      return [['roll', 'Roll']];
    case 'spinner':
      return [['spin', 'Spin']];
    case 'timer':
      return mark.shows?.ends_at === undefined
        ? [
            ['start', 'Start'],
            ['reset', 'Reset'],
          ]
        : [
            ['pause', 'Pause'],
            ['reset', 'Reset'],
          ];
    case 'picker':
      return [
        ['pick', 'Pick a name'],
        ...(mark.shows?.picked?.length ? ([['again', 'From the start']] as [Action, string][]) : []),
      ];
    default:
      return [];
  }
}

/** What can be done with a prop, as buttons right under it, whatever tool one holds. */
export function PropControls({ mark, view, reason, onUse }: Props) {
  const box = boundsOf(mark);
  const actions = actionsOf(mark);
  if (actions.length === 0) return null;
  return (
    <Box
      sx={{
        position: 'absolute',
        left: (box.x + box.w / 2 - view.x) * view.scale,
        top: (box.y + box.h - view.y) * view.scale + 6,
        transform: 'translateX(-50%)',
        display: 'flex',
        gap: 0.5,
        '& .MuiButton-root': { minHeight: 28, py: 0.25, px: 1, fontSize: 13 },
      }}
    >
      {actions.map(([action, name]) => (
        <Button key={action} disabled={reason !== null} title={reason ?? undefined} onClick={() => onUse(action)}>
          {name}
        </Button>
      ))}
    </Box>
  );
}
