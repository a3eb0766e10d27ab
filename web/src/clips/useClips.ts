import { useQuery } from '@tanstack/react-query';
import { get } from '../api/http';
import type { Material } from '../api/shapes';
import { duration } from '../parts/words/times';

/** Whether a link's site says where its video is, is seen when it is played. */
const PLAYED = new Set<string>(['sound', 'clip', 'link']);

/** How long it is; of links the site knows. */
export const lengthOf = ({ kind, facts }: Material): string =>
  kind === 'link' ? 'link to a video' : duration((facts.seconds ?? 0) * 1_000);

/** @returns the sounds, clips and links of a course's shelf that can be played; undefined until that is known */
export function useClips(course: string): Material[] | undefined {
  const { data } = useQuery({
    queryKey: ['clips', course],
    queryFn: () => get<Material[]>(`/api/courses/${course}/materials`),
  });
  return data?.filter(({ kind, state }) => PLAYED.has(kind) && state === 'ready');
}
