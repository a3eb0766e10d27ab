import { useQuery } from '@tanstack/react-query';
import { get } from '../api/http';
import type { Material } from '../api/shapes';

/** @returns the sounds and clips of a course's shelf that can be played; undefined until that is known */
export function useClips(course: string): Material[] | undefined {
  const { data } = useQuery({
    queryKey: ['clips', course],
    queryFn: () => get<Material[]>(`/api/courses/${course}/materials`),
  });
  return data?.filter(({ kind, state }) => (kind === 'sound' || kind === 'clip') && state === 'ready');
}
