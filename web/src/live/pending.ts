import type { Commands } from '../api/contracts';

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

/** A command by its name, with its input; undefined when it is another. */
export const inputOf = <Name extends keyof Commands>(command: Pending, name: Name): Commands[Name] | undefined =>
  command.name === name ? (command.input as Commands[Name]) : undefined;
