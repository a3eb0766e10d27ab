import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { BoardState } from '../../live/board';
import { count } from '../../parts/times';
import { Panel } from './Panel';

interface Props {
  board: BoardState;
  page: string;
  staff: boolean;
  /** The one person whose marks stand out. */
  only: string | null;
  onOnly: (person: string | null) => void;
  onTakeOff: (person: string) => void;
  onClose: () => void;
}

/** Everyone who left marks on this page: how many, with their marks picked out or taken off. */
export function WhoDidWhat({ board, page, staff, only, onOnly, onTakeOff, onClose }: Props) {
  const counts = new Map<string, number>();
  for (const mark of board.marks.values()) if (mark.page === page) counts.set(mark.by, (counts.get(mark.by) ?? 0) + 1);
  const people = [...counts].sort((one, other) => other[1] - one[1]);
  return (
    <Panel title="Who drew what" onClose={onClose}>
      {people.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nobody has drawn on this page yet.</Box>}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {people.map(([id, marks]) => (
          <Box component="li" key={id}>
            <Box sx={{ display: 'flex' }}>
              <Box sx={{ flex: 1, fontWeight: 650 }}>{board.authors.get(id) ?? 'someone'}</Box>
              {count(marks, 'mark')}
            </Box>
            <Box sx={{ display: 'flex', gap: 0.75, mt: 0.5, '& .MuiButton-root': { minHeight: 28, px: 1 } }}>
              <Button aria-pressed={only === id} onClick={() => onOnly(only === id ? null : id)}>
                {only === id ? 'Show everyone' : 'Only these'}
              </Button>
              {staff && (
                <Button color="error" onClick={() => onTakeOff(id)}>
                  Take off
                </Button>
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
