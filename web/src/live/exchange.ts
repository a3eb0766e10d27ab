import type { Fold } from './fold';

export interface Post {
  id: string;
  by: string;
  name: string;
  to: string;
  at: number;
  /** Gone once somebody deleted the post. */
  text?: string;
  deleted_by?: string;
}

export interface ExchangeState {
  posts: Post[];
}

/** Follows the exchange of a class. */
export const exchangeFold: Fold<ExchangeState> = {
  from: (view) => view as ExchangeState,
  apply(state, { kind, body, by, at }) {
    if (kind === 'posted') return { posts: [...state.posts, { ...(body as unknown as Post), by, at }] };
    if (kind !== 'deleted') return state;
    return {
      posts: state.posts.map((post) => (post.id === body.id ? { ...post, text: undefined, deleted_by: by } : post)),
    };
  },
};
