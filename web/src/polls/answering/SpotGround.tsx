import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import { PAGE_HEIGHT, PAGE_WIDTH } from '../../api/contracts';
import type { Question } from '../../api/shapes';
import { slideAddress } from '../../board/page/addresses';
import { PageThumb } from '../../board/page/PageThumb';
import { heightOfMarks } from '../../board/geometry/boxes';
import { marksOf } from '../../board/page/marksOf';
import { useGround } from '../grounds';

interface Props {
  question: Question;
  /** Tells how high it is, in px of a page 1600 wide. */
  onHeight: (height: number) => void;
}

/** What a spot is marked on: a picture from the shelf, or a page of a board. */
export function SpotGround({ question, onHeight }: Props) {
  const { picture, board } = question;
  if (picture)
    return (
      <Box
        component="img"
        draggable={false}
        src={slideAddress(picture.material, picture.version, picture.slide)}
        alt=""
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) =>
          naturalWidth > 0 && onHeight((PAGE_WIDTH * naturalHeight) / naturalWidth)
        }
        sx={{ display: 'block', width: 1 }}
      />
    );
  return board ? <BoardGround board={board} page={question.page} onHeight={onHeight} /> : null;
}

/** ms in which what is open to one has come. */
const PATIENCE = 4_000;

/** A board of which nothing is known: that it is not open to one shows only when it does not come. */
function NotThere() {
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), PATIENCE);
    return () => clearTimeout(timer);
  }, []);
  return (
    <Box sx={{ p: 2 }}>
      {late ? 'The board that this is about is not open to you.' : 'The board that this is about is on its way.'}
    </Box>
  );
}

function BoardGround({ board, page, onHeight }: { board: string; page?: string; onHeight: Props['onHeight'] }) {
  const state = useGround(board);
  const holder = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(320);
  const at = page ?? state?.pages[0];
  const marks = state && at ? marksOf(state, at) : [];
  const facts = at ? state?.facts.get(at) : undefined;
  const height = Math.min(heightOfMarks(marks, facts), PAGE_WIDTH);
  useEffect(() => onHeight(state ? height : PAGE_HEIGHT), [state, height, onHeight]);
  useEffect(() => {
    if (holder.current) setWidth(holder.current.clientWidth || 320);
  }, []);
  return (
    <div ref={holder}>{state ? <PageThumb marks={marks} facts={facts} width={width} /> : <NotThere key={board} />}</div>
  );
}
