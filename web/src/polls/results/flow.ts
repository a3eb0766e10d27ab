/** One answer on one side: how many gave it, and where its post stands. */
export interface End {
  key: string;
  value: unknown;
  count: number;
  y: number;
  height: number;
}

/** Those who went from one answer to another, as a band of a height. */
export interface Band {
  from: string;
  to: string;
  count: number;
  y0: number;
  y1: number;
  height: number;
}

export interface Way {
  from?: unknown;
  to?: unknown;
  count: number;
}

const keyOf = (value: unknown) => JSON.stringify(value);
/** px between two posts; enough for two lines of words beside each. */
const GAP = 18;
const LEAST = 36;

/** Lays out who went where: posts on both sides, what is right first (`first`, as JSON), then most people, and bands between them that do not cross more than they must. */
export function flowOf(
  ways: Way[],
  height: number,
  first: string | null = null,
): { left: End[]; ends: End[]; bands: Band[] } {
  const left = side(ways, (way) => way.from).sort(
    (one, other) => Number(other.key === first) - Number(one.key === first),
  );
  const order = left.map(({ key }) => key);
  const ends = side(ways, (way) => way.to).sort(
    (one, other) => place(order, one.key) - place(order, other.key) || other.count - one.count,
  );
  const people = ways.reduce((sum, { count }) => sum + count, 0);
  const posts = Math.max(left.length, ends.length);
  const scale = Math.max((height - GAP * (posts - 1) - LEAST) / Math.max(people, 1), 1);
  [left, ends].forEach((some) => stand(some, scale));
  const bands = ways
    .map(({ from, to, count }) => ({ from: keyOf(from), to: keyOf(to), count, y0: 0, y1: 0, height: count * scale }))
    .sort((one, other) => place(order, one.from) - place(order, other.from) || at(ends, one.to) - at(ends, other.to));
  const leaves = new Map(left.map(({ key, y }) => [key, y]));
  const arrives = new Map(ends.map(({ key, y }) => [key, y]));
  for (const band of bands) {
    band.y0 = leaves.get(band.from)!;
    band.y1 = arrives.get(band.to)!;
    leaves.set(band.from, band.y0 + band.height);
    arrives.set(band.to, band.y1 + band.height);
  }
  return { left, ends, bands };
}

function side(ways: Way[], of: (way: Way) => unknown): End[] {
  const found = new Map<string, End>();
  for (const way of ways) {
    const key = keyOf(of(way));
    const end = found.get(key) ?? { key, value: of(way), count: 0, y: 0, height: 0 };
    found.set(key, { ...end, count: end.count + way.count });
  }
  return [...found.values()].sort((one, other) => other.count - one.count);
}

function stand(ends: End[], scale: number) {
  let y = 0;
  for (const end of ends) {
    end.y = y;
    end.height = end.count * scale;
    y += Math.max(end.height, LEAST) + GAP;
  }
}

const place = (order: string[], key: string) => (order.includes(key) ? order.indexOf(key) : order.length);
const at = (ends: End[], key: string) => ends.findIndex((end) => end.key === key);
