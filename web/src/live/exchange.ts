import type { ExchangeView, Post } from '../api/shapes';
import type { Fold } from './fold';
import { inputOf } from './pending';

export interface ExchangeState extends ExchangeView {
  /** `on_its_way`: one's own that the server has not taken in yet. */
  posts: (Post & { on_its_way?: boolean })[];
}

/** Posts that a page keeps; older ones are found in the recording. */
const MOST = 1_000;

/** Follows the exchange of a class. */
export const exchangeFold: Fold<ExchangeState> = {
  from: (view) => view as ExchangeState,

  early(state, command, by) {
    const post = inputOf(command, 'exchange.post');
    if (!post) return state;
    const own = { ...post, to: 'everyone', by: by.id, name: by.name, at: command.at, on_its_way: true };
    return { posts: [...state.posts, own] };
  },

  apply(state, { kind, body, by, at }) {
    if (kind === 'posted') return { posts: [...state.posts, { ...body, by, at }].slice(-MOST) };
    if (kind !== 'deleted') return state;
    return {
      posts: state.posts.map((post) => (post.id === body.id ? { ...post, text: undefined, deleted_by: by } : post)),
    };
  },
};
