import { useEffect, useRef, useState } from 'react';
import type { Seat } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';
import { firstName } from '../../parts/words/people';
import { inWords } from '../../parts/exchange/audience';

/** ms that a notice stays after the last person it is about. */
const STAYS = 6_000;
/** So many are called by their names. */
const NAMED = 3;

type Way = 'came in' | 'left' | 'lost the connection' | 'came back';

export interface Passage {
  way: Way;
  person: string;
  name: string;
}

const WAYS: Record<Seat['presence'], Record<Seat['presence'], Way | null>> = {
  here: { here: null, dropped: 'lost the connection', left: 'left', out: 'left' },
  dropped: { here: 'came back', dropped: null, left: 'left', out: 'left' },
  left: { here: 'came in', dropped: null, left: null, out: null },
  out: { here: 'came in', dropped: null, left: null, out: null },
};

/** @returns who came, went, dropped and came back between two looks at a class */
export function passages(before: Seat[], now: Seat[], me: string): Passage[] {
  const old = new Map(before.map((seat) => [seat.id, seat.presence]));
  return now.flatMap(({ id, name, presence }) => {
    const way = WAYS[old.get(id) ?? 'left'][presence];
    return way && id !== me ? [{ way, person: id, name }] : [];
  });
}

/** @returns passages as one sentence, each way together: `Hana and Nils came in, 5 people left` */
export function passageWords(all: Passage[]): string {
  // Who came back at once was hardly away.
  const last = [...new Map(all.map((one) => [one.person, one])).values()];
  const ways = [...new Set(last.map(({ way }) => way))];
  return ways
    .map((way) => {
      const names = last.filter((one) => one.way === way).map(({ name }) => firstName(name));
      return `${names.length > NAMED ? `${names.length} people` : inWords(names)} ${way}`;
    })
    .join(', ');
}

/** @returns in words who came and went just now; null when nobody has for a while */
export function useComingAndGoing(sitting: SittingState, me: string): string | null {
  const [recent, setRecent] = useState<Passage[]>([]);
  const before = useRef(sitting.seats);
  useEffect(() => {
    const news = passages(before.current, sitting.seats, me);
    before.current = sitting.seats;
    if (news.length > 0) setRecent((so_far) => [...so_far, ...news]);
  }, [sitting.seats, me]);
  useEffect(() => {
    if (recent.length === 0) return;
    const over = setTimeout(() => setRecent([]), STAYS);
    return () => clearTimeout(over);
  }, [recent]);
  return recent.length > 0 ? passageWords(recent) : null;
}
