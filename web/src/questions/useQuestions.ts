import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { get } from '../api/http';
import type { Asking } from '../api/shapes';
import { useLive, useStream } from '../live/hooks';
import { newId } from '../live/LiveClient';
import type { QuestionsState } from '../live/questions';
import { askedStream, questionsStream } from '../live/streams';

const NONE: Asking[] = [];

/** What is asked in a class, sorted for whoever answers: most asked first, then the oldest. */
export function useQuestions(sitting: string) {
  const state = useStream<QuestionsState>(questionsStream(sitting));
  const asked = useStream<QuestionsState>(askedStream(sitting));
  return useMemo(() => {
    const all = state?.questions ?? NONE;
    const open = all
      .filter(({ state: stands }) => stands === 'open')
      .sort((one, other) => other.votes - one.votes || one.at - other.at);
    return {
      now: open.find(({ id }) => id === state?.now) ?? null,
      open,
      answered: all.filter(({ state: stands }) => stands === 'answered'),
      /** For staff: those that wait for review. */
      toReview: (asked?.questions ?? NONE).filter(({ state: stands }) => stands === 'waiting'),
      review: state?.review ?? false,
      nameless: state?.nameless ?? false,
    };
  }, [state, asked]);
}

interface Mine {
  own: string[];
  up: string[];
}

/** Which of them are one's own, which one asks too, and what one may do with them. */
export function useMyQuestions(sitting: string, count: number) {
  const live = useLive();
  const client = useQueryClient();
  const key = ['my-questions', sitting];
  const stream = questionsStream(sitting);
  // Asked for once; from then on one knows it oneself.
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => get<Mine>(`/api/classes/${sitting}/questions/mine`),
    enabled: count > 0,
    staleTime: Infinity,
  });
  const know = (how: (mine: Mine) => Mine) =>
    client.setQueryData<Mine>(key, (mine) => how(mine ?? { own: [], up: [] }));
  return {
    own: data?.own ?? [],
    up: data?.up ?? [],
    /** @returns whether it was taken in */
    ask: async (text: string, nameless: boolean) => {
      const id = newId();
      const { ok } = await live.do('question.ask', stream, { id, text, nameless });
      if (ok) know(({ own, up }) => ({ own: [...own, id], up }));
      return ok;
    },
    vote: async (id: string, on: boolean) => {
      const { ok } = await live.do('question.vote', stream, { id, on });
      if (ok) know(({ own, up }) => ({ own, up: on ? [...up, id] : up.filter((one) => one !== id) }));
    },
    review: (id: string, pass: boolean) => void live.do('question.review', stream, { id, pass }),
    merge: (id: string, into: string) => void live.do('question.merge', stream, { id, into }),
    answerNow: (id: string | null) => void live.do('question.answer_now', stream, { id }),
    done: (id: string) => void live.do('question.done', stream, { id }),
    set: (review: boolean, nameless: boolean) => void live.do('question.set', stream, { review, nameless }),
  };
}
