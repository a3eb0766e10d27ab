import type { Asking, Entry, QuestionsView } from '../api/shapes';
import type { Fold } from './fold';

export type QuestionsState = QuestionsView;

const change = (state: QuestionsState, id: string, facts: Partial<Asking>): QuestionsState => ({
  ...state,
  questions: state.questions.map((question) => (question.id === id ? { ...question, ...facts } : question)),
});

/** Follows what people ask in a class, as `Core::Questions::Questions` does. */
export const questionsFold: Fold<QuestionsState> = {
  from: (view) => view as QuestionsState,
  apply(state, { kind, body, at }: Entry) {
    switch (kind) {
      case 'question_asked': {
        const { id, number, text, by, name, state: stands } = body;
        const asked = { id, number, text, by, name, at: body.at ?? at, votes: 0, state: stands as Asking['state'] };
        return { ...state, questions: [...state.questions, { ...asked, answer: null, answered_at: null, into: null }] };
      }
      case 'question_reviewed':
        return change(state, body.id, { state: body.pass ? 'passed' : 'kept' });
      case 'votes_counted':
        return body.votes.reduce((so_far, { id, count }) => change(so_far, id, { votes: count }), state);
      case 'question_merged':
        return change(state, body.id, { state: 'merged', into: body.into });
      case 'answering':
        return { ...state, now: body.id };
      case 'question_answered':
        return {
          ...change(state, body.id, { state: 'answered', answer: body.words, answered_at: at }),
          now: state.now === body.id ? null : state.now,
        };
      case 'questions_set':
        return { ...state, ...body };
      default:
        return state;
    }
  },
};
