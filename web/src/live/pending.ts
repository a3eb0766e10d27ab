import type { Commands } from '../api/contracts';
import { applyOps, type BoardState, type Op } from './board';

/** A command that was given and not answered yet. */
export interface Pending {
  id: string;
  name: keyof Commands;
  stream: string;
  input: unknown;
  at: number;
  sent: boolean;
  settle: (outcome: Outcome) => void;
}

/** What became of a command. */
export type Outcome = { ok: true } | { ok: false; code: string; says: string };

/**
 * Shows one's own edits at once, before the server has them. Only what needs no decision is
 * shown early; undo and redo wait, since only the server knows what they take back.
 */
export function withPending(state: BoardState, pending: Pending[], by: string): BoardState {
  return pending.reduce((shown, command) => applyOps(shown, early(command), by, command.at), state);
}

function early({ name, input }: Pending): Op[] {
  switch (name) {
    case 'board.put':
      return (input as Commands['board.put']).marks.map((mark) => ({ op: 'put', mark }));
    case 'board.change':
      return (input as Commands['board.change']).changes.map(({ id, set }) => ({ op: 'change', id, set }));
    case 'board.remove':
      return (input as Commands['board.remove']).ids.map((id) => ({ op: 'remove', id }));
    default:
      return [];
  }
}
