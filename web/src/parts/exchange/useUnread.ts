import { useState } from 'react';
import { useWords } from './useWords';

/** @returns how many posts of others came since the words of a place were last seen */
export function useUnread(sitting: string, place: string, me: string, seen: boolean): number {
  const words = useWords(sitting, place).words ?? [];
  const last = words.at(-1)?.id;
  const [read, setRead] = useState<{ place: string; post: string | undefined }>({ place, post: last });
  if (read.place !== place || (seen && read.post !== last)) setRead({ place, post: last });
  const from = words.findIndex(({ id }) => id === read.post) + 1;
  return words.slice(from).filter((post) => post.by !== me && !post.deleted_by).length;
}
