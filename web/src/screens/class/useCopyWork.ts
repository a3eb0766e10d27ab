import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { CopyWork } from '../../api/shapes';

/** How often (ms) it is asked anew while one looks. */
export const WORK_EVERY = 4_000;

/** @returns how everybody's copies come along; none until it is known */
export function useCopyWork(sitting: string): CopyWork[] {
  const { data } = useQuery({
    queryKey: ['copies', sitting],
    queryFn: () => get<{ copies: CopyWork[] }>(`/api/classes/${sitting}/copies`),
    refetchInterval: WORK_EVERY,
    gcTime: 0,
  });
  return data?.copies ?? NONE;
}

const NONE: CopyWork[] = [];
