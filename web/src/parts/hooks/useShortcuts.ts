import { useContext, useEffect, useRef } from 'react';
import { Asleep } from '../frame/asleep';
import { forTheScreen, list, nameOf, type Shortcuts } from './shortcuts';

/** Keys of the screen. They are listed when somebody presses `?`. */
export function useShortcuts(keys: Shortcuts) {
  const latest = useRef(keys);
  const asleep = useContext(Asleep);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    if (asleep) return;
    const press = (event: KeyboardEvent) => {
      const shortcut = latest.current[nameOf(event)];
      if (!shortcut || !forTheScreen(event)) return;
      event.preventDefault();
      shortcut[1]();
    };
    window.addEventListener('keydown', press);
    const unlist = list(() => latest.current);
    return () => {
      window.removeEventListener('keydown', press);
      unlist();
    };
  }, [asleep]);
}
