import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { get, post } from '../api/http';
import type { MyAnswer, PollLive, PollResults, PollRound, Question } from '../api/shapes';
import { useLive, useStreams } from '../live/hooks';
import { newId } from '../live/LiveClient';
import { standing, type PollState } from '../live/poll';
import { partOf, placeStream, pollStream, staffStream } from '../live/streams';

/** A poll that was put to one, and its id in the class. */
export interface Poll {
  id: string;
  state: PollState & { question: Question };
}

/** @returns the polls of a class that one may know of, in the order in which they were last opened */
export function usePolls(sitting: string): Poll[] {
  const live = useLive();
  const before = pollStream(sitting, '');
  const names = useSyncExternalStore(live.subscribe, () =>
    live
      .names()
      .filter((name) => name.startsWith(before))
      .sort()
      .join(' '),
  );
  const streams = useMemo(() => (names ? names.split(' ') : []), [names]);
  const states = useStreams<PollState>(streams);
  return useMemo(() => {
    const begun = streams.flatMap((stream, i) => {
      const state = states[i];
      return state?.question ? [{ id: partOf(stream)!, state: state as Poll['state'] }] : [];
    });
    const opened = ({ state }: Poll) => state.rounds.at(-1)?.opened_at ?? 0;
    return begun.sort((one, other) => opened(one) - opened(other));
  }, [streams, states]);
}

/** ms after which it is asked how an open poll comes along, should nothing have been told: what is told once may be lost. */
const ASK_EVERY = 5_000;

/** @returns how a poll comes along, for staff: as told while it is open, or as asked for since */
export function usePollLive(sitting: string, poll: string, state: PollState | undefined): PollLive | undefined {
  const live = useLive();
  const stream = pollStream(sitting, poll);
  const told = useSyncExternalStore(live.subscribe, () => live.pollLive(stream));
  const round = state?.rounds.at(-1);
  const { data: asked } = useQuery({
    queryKey: ['poll-live', sitting, poll, round?.round, round?.closed_at],
    queryFn: () => get<PollLive>(`/api/classes/${sitting}/polls/${poll}/live`),
    enabled: round !== undefined,
    refetchInterval: round?.closed_at === null ? ASK_EVERY : false,
    refetchIntervalInBackground: true,
    gcTime: 0,
  });
  // What was counted earlier may arrive later.
  return [told, asked].filter((live) => live?.round === round?.round).sort((one, other) => other!.at - one!.at)[0];
}

/** @returns what a round came to, or two side by side; nothing is asked for while there is no round */
export const useResults = (
  sitting: string,
  poll: string,
  round: number | undefined,
  since?: number,
  of: unknown = null,
) =>
  useQuery({
    queryKey: ['poll-results', sitting, poll, round, since ?? null, of],
    queryFn: () =>
      get<PollResults>(`/api/classes/${sitting}/polls/${poll}/results?round=${round}${since ? `&since=${since}` : ''}`),
    enabled: round !== undefined,
    placeholderData: (before) => before,
    gcTime: 0,
  });

/**
 * What one has answered oneself, and how one answers. The server is asked once, for what was answered before the page was loaded: a class
 * that asked it after every answer would keep it busy.
 */
export function useMyAnswers(sitting: string, polls: Poll[]) {
  const live = useLive();
  const client = useQueryClient();
  const key = ['my-answers', sitting];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => get<{ answers: MyAnswer[] }>(`/api/classes/${sitting}/polls/mine`),
    enabled: polls.length > 0,
    staleTime: Infinity,
  });
  const mine = (poll: string, round: number) =>
    data?.answers.findLast((answer) => answer.poll === poll && answer.round === round)?.value;
  /** @returns why it was not taken; null when it was */
  const give = async ({ id, state }: Poll, round: number, value: unknown): Promise<string | null> => {
    const outcome = await live.do('poll.answer', pollStream(sitting, id), { round, value });
    if (!outcome.ok) return outcome.says;
    const answer = { poll: id, round, value: isOne(state.question) ? [value] : value };
    client.setQueryData<{ answers: MyAnswer[] }>(key, (old) => ({ answers: [...(old?.answers ?? []), answer] }));
    return null;
  };
  return { mine, give };
}

const isOne = ({ kind }: Question) => kind === 'one' || kind === 'yes_no';

/** s for which pairs talk a question over. */
export const TALK = 120;

/** What staff do with polls. */
export function usePollActs(sitting: string) {
  const live = useLive();
  const staff = staffStream(sitting);
  const show = useMutation({
    mutationFn: ({ poll, ...wish }: { poll: string; round?: number; since?: number; tell: boolean }) =>
      post(`/api/classes/${sitting}/polls/${poll}/show`, wish),
    onError: (error: Error) => live.notice('poll', error.message),
  });
  return {
    show,
    stage: async (question: Question, place: string | null = null) => {
      const poll = newId();
      const outcome = await live.do('poll.stage', staff, { poll, question, place });
      return outcome.ok ? { poll } : { says: outcome.says };
    },
    /** Another round, or the first. */
    open: (poll: string, state: PollState | undefined, more: { seconds?: number | null; talk?: number } = {}) =>
      live.do('poll.open', staff, { poll, round: (state?.rounds.length ?? 0) + 1, ...more }),
    /** Has pairs talk it over, and takes answers to another round after that. */
    talk: async (poll: string, state: PollState, place: string) => {
      // Where pairs cannot be drawn, people talk all the same.
      await post(`/api/classes/${sitting}/places/${place}/pairs`, { size: 2 }).catch((error: Error) =>
        live.notice('not_paired', error.message),
      );
      await live.do('poll.open', staff, { poll, round: state.rounds.length + 1, talk: TALK });
    },
    /** A new one, written in one go. @returns why it was not opened; null when it was */
    ask: async (text: string) => {
      const outcome = await live.do('poll.open', staff, { poll: newId(), round: 1, text });
      return outcome.ok ? null : outcome.says;
    },
    /** With it ends that people talk in pairs. */
    close: (poll: string, { round, talk }: PollRound, place: string) => {
      void live.do('poll.close', staff, { poll, round });
      if (talk) void live.do('class.end_pairs', placeStream(sitting, place), {});
    },
    seal: (poll: string) => void live.do('poll.seal', staff, { poll }),
    clear: (poll: string, round: number, on: boolean) => void live.do('poll.clear', staff, { poll, round, on }),
    putAway: (poll: string) => void live.do('poll.put_away', staff, { poll }),
    group: (poll: string, key: string, to: string | null) => live.do('poll.group', staff, { poll, key, to }),
    nameGroup: (poll: string, key: string, words: string) => live.do('poll.name_group', staff, { poll, key, words }),
    strike: (poll: string, key: string, on: boolean) => live.do('poll.strike', staff, { poll, key, on }),
  };
}

/** @returns the last round that counts, and the one before it */
export function lastTwo(state: PollState): [number | undefined, number | undefined] {
  const rounds = standing(state).map(({ round }) => round);
  return [rounds.at(-1), rounds.at(-2)];
}
