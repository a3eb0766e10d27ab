/** ms from which a moment goes to where something begins or is quiet. */
const NEAR = 2_500;

/** @returns the nearest of some points, where one is near enough, else the moment itself */
export function snapped(at: number, points: number[], near = NEAR): number {
  const nearest = points.reduce<number | null>(
    (best, point) => (best === null || Math.abs(point - at) < Math.abs(best - at) ? point : best),
    null,
  );
  return nearest !== null && Math.abs(nearest - at) <= near ? nearest : Math.round(at);
}
