import type { Announcements } from '@dnd-kit/core';

/**
 * What is read aloud while something is moved, by hand or by the keyboard.
 *
 * @param nameOf what is moved, by its id
 * @param placeOf where it would be put, by the id of what it is above
 */
export function movingWords(nameOf: (id: string) => string, placeOf: (id: string) => string): Announcements {
  const name = ({ id }: { id: string | number }) => nameOf(String(id));
  const place = ({ id }: { id: string | number }) => placeOf(String(id));
  return {
    onDragStart: ({ active }) => `${name(active)} is taken up.`,
    onDragOver: ({ active, over }) => `${name(active)}: ${over ? place(over) : 'nowhere to put it'}.`,
    onDragEnd: ({ active, over }) => `${name(active)} is put down${over ? `: ${place(over)}` : ' where it was'}.`,
    onDragCancel: ({ active }) => `${name(active)} stays where it was.`,
  };
}

/** Read with the grip of what can be moved. */
export const MOVED_BY_KEYS = {
  draggable: 'Space takes it up, the arrow keys move it, space puts it down, and Escape leaves it where it was.',
};
