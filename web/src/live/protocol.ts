/** The messages of the live protocol as the browser sees them; docs/protocol.md tells the rest. */

/** One fact in a stream. `at` is ms since the epoch, `by` a person's id. */
export interface Entry {
  seq: number;
  at: number;
  by: string;
  kind: string;
  body: Record<string, unknown>;
  cmd?: string;
}

export interface Answer {
  allowed: boolean;
  code: string;
  says: string | null;
}

export type Rights = Record<'draw' | 'post' | 'props', Answer>;

export interface You {
  id: string;
  name: string;
  role: string;
  staff: boolean;
}

export interface StreamPart {
  stream: string;
  head: number;
  view?: unknown;
  entries?: Entry[];
}

export interface Stretch {
  step: string;
  title: string;
  planned: number;
  spent: number;
  state: 'past' | 'now' | 'next';
}

/** How the class goes against its plan; ms. */
export interface Timing {
  at: number;
  stretches: Stretch[];
  planned_end: number;
  projected_end: number;
  drift: number;
  /** When late: minutes that the steps to come could give. */
  squeeze: { step: string; less: number }[];
}

export interface Glimpse {
  by: string;
  kind: 'pointer' | 'ink' | 'typing';
  body: Record<string, unknown>;
}

export type Incoming =
  | { t: 'welcome'; v: number; you: You; rights: Rights; streams: StreamPart[] }
  | ({ t: 'entry'; stream: string } & Entry)
  | { t: 'now'; stream: string; all: Glimpse[] }
  | { t: 'done'; id: string; seq: number }
  | { t: 'refused'; id: string; code: string; says: string }
  | ({ t: 'gained' } & StreamPart)
  | { t: 'lost'; stream: string; says: string }
  | { t: 'rights'; rights: Rights }
  | { t: 'timing'; stream: string; timing: Timing }
  | { t: 'error'; code: string; says: string }
  | { t: 'pong' };
