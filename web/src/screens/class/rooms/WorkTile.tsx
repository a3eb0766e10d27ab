import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Mark, Room } from '../../../api/shapes';
import { ChoosingPage } from '../../../board/page/ChoosingPage';
import { useMarksByPage } from '../../../board/page/useMarksByPage';
import { useBoard } from '../../../live/hooks';
import { Tile } from '../../../parts/frame/Tiles';
import { inWords } from '../../../parts/exchange/audience';
import { firstName } from '../../../parts/words/people';
import type { Piece } from './usePutting';

interface Props {
  room: Room;
  /** Of those who made it. */
  names: string[];
  /** What of it is chosen. */
  piece: Piece | null;
  onPiece: (piece: Piece | null) => void;
  /** All of it, to begin with. */
  fresh: () => Piece;
}

const NO_MARKS = new Map<string, Mark>();
/** Marks that are listed by their words. */
const MOST_LISTED = 60;

/** What one room made, and what of it is to be put before the class: all of it, a page, or some marks. */
export function WorkTile({ room, names, piece, onPiece, fresh }: Props) {
  const now = piece ?? fresh();
  const board = useBoard(now.board);
  const marks = useMarksByPage(board?.marks ?? NO_MARKS);
  const pages = board?.pages ?? [];
  const page = now.page && pages.includes(now.page) ? now.page : pages[0];
  const there = page ? marks(page) : [];
  const turn = (by: number) => onPiece({ ...now, page: pages[pages.indexOf(page!) + by]!, marks: [] });
  const toggle = (mark: string) => {
    const others = now.marks.filter((id) => id !== mark);
    onPiece({ ...now, page: page!, marks: others.length < now.marks.length ? others : [...now.marks, mark] });
  };
  return (
    <Tile label={room.name} edge={piece ? 'primary.main' : undefined}>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Checkbox
          checked={piece !== null}
          onChange={(_, on) => onPiece(on ? fresh() : null)}
          slotProps={{ input: { 'aria-label': `Choose ${room.name}` } }}
        />
        <Box component="h3" sx={{ m: 0, fontSize: 16 }}>
          {room.name}
        </Box>
      </Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', minHeight: 20 }}>{inWords(names.map(firstName))}</Box>
      {room.boards.length > 1 && (
        <TextField
          select
          fullWidth
          size="small"
          label="Which board"
          value={now.board}
          onChange={({ target }) => onPiece({ ...now, board: target.value, page: null, marks: [] })}
          sx={{ mt: 1 }}
        >
          {room.boards.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <Box sx={{ my: 0.75, border: 1, borderColor: 'divider', borderRadius: 1, overflow: 'hidden' }}>
        {board && page && (
          <ChoosingPage marks={there} facts={board.facts.get(page)} chosen={new Set(now.marks)} onChoose={toggle} />
        )}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, mt: 'auto', minWidth: 0 }}>
        <TextField
          select
          fullWidth
          size="small"
          label="What of it"
          value={now.marks}
          onChange={({ target }) => onPiece({ ...now, page: page!, marks: target.value as unknown as string[] })}
          slotProps={{
            select: {
              multiple: true,
              displayEmpty: true,
              renderValue: (value) => whatOf((value as string[]).length, now.page !== null),
            },
            inputLabel: { shrink: true },
          }}
        >
          {there.slice(0, MOST_LISTED).map((mark) => (
            <MenuItem key={mark.id} value={mark.id}>
              {markWords(mark, board?.authors.get(mark.by))}
            </MenuItem>
          ))}
          {there.length === 0 && <MenuItem disabled>Nothing is on this page</MenuItem>}
        </TextField>
        {pages.length > 1 && page && (
          <>
            <Turn label="Page before" disabled={page === pages[0]} onClick={() => turn(-1)}>
              ‹
            </Turn>
            <Turn label="Next page" disabled={page === pages.at(-1)} onClick={() => turn(1)}>
              ›
            </Turn>
          </>
        )}
      </Box>
    </Tile>
  );
}

function whatOf(marks: number, page: boolean): string {
  if (marks > 0) return marks === 1 ? 'One mark' : `${marks} marks`;
  return page ? 'This page' : 'All of it';
}

/** `note by Farah: Give way` */
function markWords(mark: Mark, author: string | undefined): string {
  const words = (mark.text ?? mark.alt ?? '').replace(/\s+/g, ' ').trim();
  return `${mark.kind}${author ? ` by ${firstName(author)}` : ''}${words ? `: ${words.slice(0, 40)}` : ''}`;
}

interface TurnProps {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: string;
}

const Turn = ({ label, children, ...more }: TurnProps) => (
  <Button size="small" aria-label={label} {...more} sx={{ minWidth: 36, minHeight: { xs: 44, md: 36 }, px: 0 }}>
    {children}
  </Button>
);
