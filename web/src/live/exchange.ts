import type { Entry, ExchangeView, Post, ThreadView } from '../api/shapes';
import type { Author, Fold } from './fold';
import { inputOf, type Pending } from './pending';

/** `on_its_way`: one's own that the server has not taken in yet. */
export type Written = Post & { on_its_way?: boolean };

export interface ExchangeState extends ExchangeView {
  posts: Written[];
}

/** What a few people write to one another. */
export interface ThreadState extends ThreadView {
  posts: Written[];
}

/** Posts that a page keeps; older ones are found in the recording. */
const MOST = 1_000;

/** Follows what was written to everyone in a place. */
export const exchangeFold: Fold<ExchangeState> = {
  from: (view) => view as ExchangeState,
  early: (state, command, by) => early(state, command, by, 'exchange.post', 'everyone'),
  apply: follow,
};

/** Follows a thread; who is in it never changes. */
export const threadFold: Fold<ThreadState> = {
  from: (view) => view as ThreadState,
  early: (state, command, by) => early(state, command, by, 'thread.post', 'thread'),
  apply: (state, entry) =>
    entry.kind === 'thread_begun' ? { ...state, ...threadOf(entry.body) } : follow(state, entry),
};

const threadOf = ({ people, staff }: Pick<ThreadView, 'people' | 'staff'>) => ({ people, staff });

function early<State extends ExchangeState>(
  state: State,
  command: Pending,
  by: Author,
  name: 'exchange.post' | 'thread.post',
  to: string,
): State {
  const post = inputOf(command, name);
  if (!post) return state;
  const own = { ...post, to, by: by.id, name: by.name, at: command.at, on_its_way: true };
  return { ...state, posts: [...state.posts, own] };
}

function follow<State extends ExchangeState>(state: State, { kind, body, by, at }: Entry): State {
  const change = (edit: (post: Written) => Written) => ({
    ...state,
    posts: state.posts.map((post) => (post.id === (body as { id: string }).id ? edit(post) : post)),
  });
  switch (kind) {
    case 'posted':
      return { ...state, posts: [...state.posts, { ...body, by, at }].slice(-MOST) };
    case 'deleted':
      return {
        ...change((post) => ({ ...post, text: undefined, reactions: undefined, parked: undefined, deleted_by: by })),
        pinned: state.pinned.filter((id) => id !== body.id),
      };
    case 'reacted':
      return change((post) => reacted(post, by, body.sign));
    case 'pinned':
      return { ...state, pinned: [...state.pinned.filter((id) => id !== body.id), ...(body.on ? [body.id] : [])] };
    case 'parked':
      return change((post) => ({ ...post, parked: body.parked ?? undefined }));
    default:
      return state;
  }
}

/** One sign a person; without one it is taken back. */
function reacted(
  { reactions = [], ...post }: Written,
  person: string,
  sign: NonNullable<Post['reactions']>[number]['sign'] | null,
): Written {
  const others = reactions.filter((row) => row.person !== person);
  const rows = sign ? [...others, { person, sign }] : others;
  return rows.length > 0 ? { ...post, reactions: rows } : post;
}
