import { useEffect, useRef } from 'react';

/** The name of the key that was pressed, as written on the shortcut sheet: `Ctrl+Shift+z`, `]`. */
function nameOf(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const control = event.ctrlKey || event.metaKey ? 'Ctrl+' : '';
  const alt = event.altKey ? 'Alt+' : '';
  return `${control}${alt}${control && event.shiftKey ? 'Shift+' : ''}${key}`;
}

const writing = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Keys of the screen; none of them counts while someone writes. */
export function useShortcuts(keys: Record<string, () => void>) {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.defaultPrevented || writing(event.target) || document.querySelector('[role=dialog]')) return;
      const act = latest.current[nameOf(event)];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
