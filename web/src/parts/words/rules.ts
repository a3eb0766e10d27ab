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
