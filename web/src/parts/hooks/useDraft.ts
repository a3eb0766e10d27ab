import { useEffect, useRef, useState } from 'react';

/**
 * What is typed into a field until it is saved. While nothing is typed the field follows its value; what was typed is neither overwritten
 * when the value changes nor lost when the field goes away.
 *
 * @param value as it is saved
 * @param save takes what was typed, and what was seen when that was begun; not called when it is the same
 * @param seen number of the last entry that is known of what the field belongs to
 */
export function useDraft(value: string, save: (text: string, seen?: number) => void, seen?: number) {
  const [draft, setDraft] = useState<{ text: string; seen?: number } | null>(null);
  const leave = useRef(() => {});
  const done = () => {
    if (draft !== null && draft.text !== value) save(draft.text, draft.seen);
    setDraft(null);
  };
  useEffect(() => {
    leave.current = done;
  });
  useEffect(() => () => leave.current(), []);
  const setText = (text: string) => setDraft((before) => ({ text, seen: before ? before.seen : seen }));
  return { text: draft?.text ?? value, setText, done, giveUp: () => setDraft(null) };
}
