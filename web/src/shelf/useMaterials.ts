import { useQuery } from '@tanstack/react-query';
import { get } from '../api/http';
import type { Material, MaterialFacts } from '../api/shapes';
import { underway } from './words';

const AGAIN = 1_000;

/** The shelf of a course; asked again while something on it is being worked on. */
export function useMaterials(course: string, search = '', sort = 'newest') {
  return useQuery({
    queryKey: ['materials', course, search, sort],
    queryFn: () =>
      get<Material[]>(`/api/courses/${course}/materials?${new URLSearchParams({ search, sort }).toString()}`),
    refetchInterval: (query) => (query.state.data?.some(underway) ? AGAIN : false),
    placeholderData: (before) => before,
  });
}

/** One material with its slides. */
export function useMaterial(id: string, version: number) {
  return useQuery({
    queryKey: ['material', id, version],
    queryFn: () => get<MaterialFacts>(`/api/materials/${id}`),
    refetchInterval: (query) => (query.state.data && underway(query.state.data) ? AGAIN : false),
  });
}
