import type { Cue } from '../api/resources';
import { minutesAndSeconds } from './times';

/** What a cue does, in a few words. */
export function cueName(cue: Cue, boards: { id: string; name: string }[]): string {
  if (cue.kind === 'record') return 'start recording';
  if (cue.kind === 'timer')
    return `${cue.label ? `${cue.label}: ` : ''}timer ${minutesAndSeconds((cue.seconds ?? 0) * 1000)}`;
  return `show ${boards.find(({ id }) => id === cue.board)?.name ?? 'a board'}`;
}

/** What students may do, as one says it. */
export function rulesInShort(rules: Record<string, boolean>): string {
  const may = [
    ['draw', 'draw'],
    ['post', 'post'],
    ['props', 'use props'],
  ].filter(([right]) => rules[right!]);
  if (may.length === 3) return 'everyone joins in';
  if (may.length === 0) return 'students watch';
  return `everyone may ${may.map(([, words]) => words).join(' and ')}`;
}
