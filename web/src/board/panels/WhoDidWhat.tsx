import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Mark } from '../../api/shapes';
import type { BoardState } from '../../live/board';
import { grouped } from '../../parts/grouped';
import { count } from '../../parts/words/times';
import { Panel } from './Panel';

interface Props {
  board: BoardState;
  page: string;
  staff: boolean;
  /** The one person whose marks stand out. */
  only: string | null;
  onOnly: (person: string | null) => void;
  onTakeOff: (person: string) => void;
  onChoose: (marks: string[]) => void;
  onClose: () => void;
}

/** Everyone who left marks on this page: how many, with their marks picked out or taken off. */
export function WhoDidWhat({ board, page, staff, only, onOnly, onTakeOff, onChoose, onClose }: Props) {
  const marks = [...board.marks.values()].filter((mark) => mark.page === page);
  const people = largestFirst(marks, (mark) => mark.by);
  const kinds = largestFirst(marks, (mark) => mark.prop ?? mark.kind);
  return (
    <Panel title="Who drew what" onClose={onClose}>
      {people.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nobody has drawn on this page yet.</Box>}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {people.map(([id, own]) => (
          <Box component="li" key={id}>
            <Box sx={{ display: 'flex' }}>
              <Box sx={{ flex: 1, fontWeight: 650 }}>{board.authors.get(id) ?? 'someone'}</Box>
              {count(own.length, 'mark')}
            </Box>
            <Box sx={{ display: 'flex', gap: 0.75, mt: 0.5, '& .MuiButton-root': { minHeight: 28, px: 1 } }}>
              <Button aria-pressed={only === id} onClick={() => onOnly(only === id ? null : id)}>
                {only === id ? 'Show everyone' : 'Only these'}
              </Button>
              <Button onClick={() => onChoose(own.map((mark) => mark.id))}>Choose</Button>
              {staff && (
                <Button color="error" onClick={() => onTakeOff(id)}>
                  Take off
                </Button>
              )}
            </Box>
          </Box>
        ))}
      </Box>
      {kinds.length > 0 && (
        <>
          <Box component="h3" sx={{ typography: 'h3', mt: 2.5, mb: 1 }}>
            Choose by kind
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, '& .MuiButton-root': { minHeight: 28, px: 1 } }}>
            {kinds.map(([kind, own]) => (
              <Button key={kind} onClick={() => onChoose(own.map((mark) => mark.id))}>
                {kind}, {own.length}
              </Button>
            ))}
          </Box>
        </>
      )}
    </Panel>
  );
}

const largestFirst = (marks: Mark[], word: (mark: Mark) => string) =>
  [...grouped(marks, word)].sort((one, other) => other[1].length - one[1].length);
