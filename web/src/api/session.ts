import { useQuery } from '@tanstack/react-query';
import { get, keepToken } from './http';
import type { Session } from './shapes';

/** Who is signed in here, if anyone. */
export function useSession() {
  return useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const session = await get<Session>('/api/session');
      keepToken(session.csrf);
      return session;
    },
    staleTime: 60_000,
  });
}
