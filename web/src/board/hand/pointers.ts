/** What a pointer that comes down is for: it acts, acts in place of what another did, joins it in a pinch, or is a palm. */
export type Part = 'acts' | 'takes over' | 'pinches' | 'is nothing';

/** A touch this soon (ms) after a pen was seen is the hand that holds it. */
const PALM = 600;

type Touch = readonly [number, number];
type Pointer = Pick<PointerEvent, 'pointerId' | 'pointerType' | 'clientX' | 'clientY'>;

/** How two fingers moved and spread: by px, by a factor, and about which point of the window. */
export interface Pinch {
  dx: number;
  dy: number;
  factor: number;
  x: number;
  y: number;
}

/**
 * Tells pens, fingers and palms apart. One pointer acts at a time: a pen goes before fingers, and while it writes, the hand that
 * rests on the page does nothing. A second finger makes a pinch, which lasts until all fingers are up.
 */
export class Pointers {
  private acting: { id: number; pen: boolean } | null = null;
  private touches = new Map<number, Touch>();
  private pinching = false;
  private penAt = -Infinity;

  /** @param now ms of any clock */
  down(event: Pointer, now: number): Part {
    const { pointerId: id, pointerType: type } = event;
    if (type === 'pen') {
      const over = this.acting !== null || this.pinching;
      this.acting = { id, pen: true };
      this.pinching = false;
      this.touches.clear();
      this.penAt = now;
      return over ? 'takes over' : 'acts';
    }
    if (type === 'touch') return this.touched(id, [event.clientX, event.clientY], now);
    if (this.acting) return 'is nothing';
    this.acting = { id, pen: false };
    return 'acts';
  }

  /** @returns whether the pointer is the one that acts, or nobody does (it passes over the page) */
  moves(event: Pointer, now: number): boolean {
    if (event.pointerType === 'pen') this.penAt = now;
    return (
      !this.pinching && (this.acting === null ? event.pointerType !== 'touch' : this.acting.id === event.pointerId)
    );
  }

  /** @returns what a moving finger does to a pinch; null when it is no part of one */
  pinch({ pointerId, clientX, clientY }: Pointer): Pinch | null {
    const before = this.touches.get(pointerId);
    if (!this.pinching || !before) return null;
    const now: Touch = [clientX, clientY];
    const other = [...this.touches].find(([id]) => id !== pointerId)?.[1];
    this.touches.set(pointerId, now);
    if (!other) return null;
    const apart = (one: Touch) => Math.max(Math.hypot(one[0] - other[0], one[1] - other[1]), 1);
    return {
      dx: (before[0] - now[0]) / 2,
      dy: (before[1] - now[1]) / 2,
      factor: apart(now) / apart(before),
      x: (now[0] + other[0]) / 2,
      y: (now[1] + other[1]) / 2,
    };
  }

  /** @returns whether that ends what the acting pointer did */
  up({ pointerId }: Pick<Pointer, 'pointerId'>): boolean {
    this.touches.delete(pointerId);
    if (this.touches.size === 0) this.pinching = false;
    if (this.acting?.id !== pointerId) return false;
    this.acting = null;
    return true;
  }

  private touched(id: number, at: Touch, now: number): Part {
    if (this.acting?.pen || now - this.penAt < PALM) return 'is nothing';
    this.touches.set(id, at);
    if (this.touches.size === 1 && !this.acting) {
      this.acting = { id, pen: false };
      return 'acts';
    }
    this.acting = null;
    this.pinching = true;
    return 'pinches';
  }
}
