import { useEffect, useRef } from 'react';
import { forTheScreen, nameOf } from '../parts/hooks/shortcuts';
import { useShortcuts } from '../parts/hooks/useShortcuts';
import { talkKey } from './talk';
import type { Stage } from './Stage';

const KEY = 'm';

/** One key for one's microphone, see {@link talkKey}; nothing while `may` is false. */
export function useTalkKey(stage: Stage | null, may: boolean) {
  const key = useRef(talkKey());
  useShortcuts(may ? { [KEY]: ['Hold to speak; press twice to stay on, once more to mute', () => {}] } : {});
  useEffect(() => {
    if (!stage || !may) return;
    const act = (what: 'open' | 'close' | null) => {
      if (what === 'open') void stage.set('microphone', true);
      if (what === 'close') void stage.set('microphone', false, true);
    };
    const down = (event: KeyboardEvent) => {
      // What lists the key has taken the press for itself.
      if (nameOf(event) !== KEY || event.repeat || (!event.defaultPrevented && !forTheScreen(event))) return;
      act(key.current.down(performance.now(), stage.state.microphone !== 'off'));
    };
    const up = (event: KeyboardEvent) => nameOf(event) === KEY && act(key.current.up(performance.now()));
    // A key that is let go of elsewhere is never seen to be.
    const away = () => act(key.current.up(Infinity));
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', away);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', away);
    };
  }, [stage, may]);
}
