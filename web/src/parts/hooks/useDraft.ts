import { useEffect, useRef, useState } from 'react';

/**
 * What is typed into a field until it is saved. While nothing is typed the field follows its value; what was typed is neither overwritten
 * when the value changes nor lost when the field goes away.
 *
 * @param value as it is saved
 * @param save takes what was typed; not called when that is the same
 */
export function useDraft(value: string, save: (text: string) => void) {
  const [draft, setDraft] = useState<string | null>(null);
  const leave = useRef(() => {});
  const done = () => {
    if (draft !== null && draft !== value) save(draft);
    setDraft(null);
  };
  useEffect(() => {
    leave.current = done;
  });
  useEffect(() => () => leave.current(), []);
  return { text: draft ?? value, setText: setDraft, done, giveUp: () => setDraft(null) };
}
