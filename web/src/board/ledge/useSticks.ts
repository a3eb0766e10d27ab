import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Stick } from '../../api/shapes';
import { get, patch } from '../../api/http';
import { STICKS } from './sticks';

const KEY = ['sticks'];

/** One's own sticks, the same on every board and device. */
export function useSticks() {
  const queries = useQueryClient();
  const own = useQuery({
    queryKey: KEY,
    queryFn: () => get<{ sticks: Stick[] | null }>('/api/sticks'),
    staleTime: Infinity,
  });
  const save = useMutation({
    mutationFn: (sticks: Stick[]) => patch<{ sticks: Stick[] }>('/api/sticks', { sticks }),
    onMutate: (sticks) => queries.setQueryData(KEY, { sticks }),
    onError: () => queries.invalidateQueries({ queryKey: KEY }),
  });
  const sticks = own.data?.sticks ?? STICKS;
  return {
    sticks,
    change: (index: number, stick: Stick) => save.mutate(sticks.with(index, stick)),
    reset: () => save.mutate(STICKS),
  };
}
