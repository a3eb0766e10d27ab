import type { Entry, PollRound, PollView, StagedPoll } from '../api/shapes';
import type { Fold } from './fold';

export type PollState = PollView;

const change = (rounds: PollRound[], number: number, how: (round: PollRound) => PollRound) =>
  rounds.map((round) => (round.round === number ? how(round) : round));

/** Follows a poll as everyone may know it, as `Core::Polls::Poll` does. */
export const pollFold: Fold<PollState> = {
  from: (view) => view as PollState,
  apply(state, { kind, body, at }: Entry) {
    switch (kind) {
      case 'poll_begun':
        return { ...state, ...body };
      case 'round_opened': {
        const opened = { ...body, opened_at: at, closed_at: null, cleared: false };
        return { ...state, shown: null, rounds: [...state.rounds, opened] };
      }
      case 'round_closed':
        return { ...state, rounds: change(state.rounds, body.round, (round) => ({ ...round, closed_at: at })) };
      case 'round_cleared':
        return { ...state, rounds: change(state.rounds, body.round, (round) => ({ ...round, cleared: body.on })) };
      case 'poll_shown':
        return { ...state, shown: body };
      case 'poll_sealed':
        return { ...state, shown: null };
      default:
        return state;
    }
  },
};

type Kind = 'poll_staged' | 'poll_opened' | 'poll_put_away';
type Body = Extract<Entry, { kind: Kind }>['body'];

/** Follows the polls that staff have at hand, as `Core::Polls::Staged` does. */
export function stagedPolls(polls: StagedPoll[], kind: Kind, body: Body): StagedPoll[] {
  if ('question' in body) {
    const known = polls.find(({ id }) => id === body.id);
    const staged = { ...body, begun: known?.begun ?? false, away: false };
    return known ? polls.map((poll) => (poll === known ? staged : poll)) : [...polls, staged];
  }
  const now = kind === 'poll_opened' ? { begun: true, away: false } : { away: true };
  return polls.map((poll) => (poll.id === body.poll ? { ...poll, ...now } : poll));
}

/** @returns the round that is open */
export const openRound = ({ rounds }: Pick<PollState, 'rounds'>): PollRound | undefined => {
  const last = rounds.at(-1);
  return last && last.closed_at === null ? last : undefined;
};

/** @returns rounds that count */
export const standing = ({ rounds }: Pick<PollState, 'rounds'>): PollRound[] =>
  rounds.filter(({ cleared }) => !cleared);
