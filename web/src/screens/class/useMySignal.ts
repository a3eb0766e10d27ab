import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { signalKey, signalsFor, signalWord, type Signal } from '../../parts/words/signals';
import type { You } from '../../api/shapes';

/** The signal that one gives oneself, each with its key; given again, it is taken back. */
export function useMySignal(place: PlaceState, room: string, you: You) {
  const live = useLive();
  const mine = place.signals.find(({ person }) => person === you.id)?.signal ?? null;
  const give = (signal: Signal) => {
    const again = mine === signal && signal !== 'clap';
    void live.do('class.signal', room, again ? {} : { signal });
  };
  const kinds = signalsFor(you.staff);
  useShortcuts(
    Object.fromEntries(kinds.map((kind) => [signalKey(kind), [`Signal: ${signalWord(kind)}`, () => give(kind)]])),
  );
  return { mine, give, kinds };
}
