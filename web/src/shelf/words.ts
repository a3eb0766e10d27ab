import type { Material } from '../api/shapes';
import { count, duration } from '../parts/words/times';

/** What a material is and how far it has come, in a few words. */
export function stateOf(material: Material): string {
  if (material.kind === 'link') return 'link to a video';
  if (material.state === 'waiting') return 'waiting to be opened';
  if (material.state === 'working') return 'being made into slides';
  if (material.state === 'failed') return 'could not be opened';
  const length = material.facts.seconds == null ? '' : duration(material.facts.seconds * 1000);
  if (material.kind === 'sound') return `sound, ${length}`;
  if (material.kind === 'clip') return `clip, ${length}`;
  if (material.kind === 'picture') return 'picture';
  return count(material.slide_count ?? 0, 'slide');
}

export const underway = (material: Material) =>
  material.state === 'waiting' ||
  material.state === 'working' ||
  material.newer === 'waiting' ||
  material.newer === 'working';
