import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { INKS, LEADING, MAX_TEXT, NOTE_INSET, WASHES } from '../../api/contracts';
import type { NewMark } from '../../live/board';
import { nextItem } from './lists';
import { layOut } from '../geometry/textLayout';
import type { View } from '../hand/useView';

interface Props {
  /** The text or note as it is so far. */
  mark: NewMark;
  view: View;
  onDone: (text: string) => void;
  /** Called when one has left by a key, to say where the focus goes. */
  onLeft?: () => void;
}

/**
 * Writes in place: looks as the mark will. Lists go on by themselves. Esc or a click elsewhere is done, and so is
 * going away in any other manner; nothing typed is lost.
 */
export function TextEditor({ mark, view, onDone, onLeft }: Props) {
  const [text, setText] = useState(mark.text ?? '');
  const leave = useRef(() => {});
  const given = useRef(false);
  const done = () => {
    if (given.current) return;
    given.current = true;
    onDone(text);
  };
  useEffect(() => {
    leave.current = () => text !== (mark.text ?? '') && done();
  });
  useEffect(() => () => leave.current(), []);
  const note = mark.kind === 'note';
  const size = mark.size ?? 28;
  const { height } = layOut(text + ' ', size, mark.w ?? 300, note ? NOTE_INSET : 0);

  function key(event: KeyboardEvent<HTMLTextAreaElement>) {
    event.stopPropagation();
    const field = event.currentTarget;
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Escape' || (event.key === 'Enter' && (event.ctrlKey || event.metaKey))) {
      done();
      return onLeft?.();
    }
    if (event.key !== 'Enter' || event.shiftKey) return;
    const next = nextItem(text, field.selectionStart, field.selectionEnd);
    if (!next) return;
    event.preventDefault();
    setText(next.text);
    requestAnimationFrame(() => field.setSelectionRange(next.caret, next.caret));
  }

  return (
    <Box
      component="textarea"
      autoFocus
      aria-label={note ? 'Text of the note' : 'Text'}
      dir="auto"
      maxLength={MAX_TEXT}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={key}
      sx={{
        position: 'absolute',
        left: (mark.x - view.x) * view.scale,
        top: (mark.y - view.y) * view.scale,
        width: (mark.w ?? 300) * view.scale + 2,
        height: Math.max(height, mark.h ?? 0) * view.scale + 2,
        p: `${note ? NOTE_INSET * view.scale : 0}px`,
        font: 'inherit',
        fontSize: size * view.scale,
        lineHeight: LEADING,
        color: note ? INKS.slate : INKS[mark.ink],
        bgcolor: note ? WASHES[mark.ink] : 'transparent',
        border: '1px dashed',
        borderColor: 'primary.main',
        borderRadius: 0.5,
        resize: 'none',
        overflow: 'hidden',
        outline: 'none',
        transform: mark.angle ? `rotate(${mark.angle}deg)` : undefined,
      }}
    />
  );
}
