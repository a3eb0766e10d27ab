import { afterEach, describe, expect, it, vi } from 'vitest';
import { linkIn, onShelf } from './playLink';

const answers = (...bodies: unknown[]) => {
  const asked = vi.fn();
  vi.stubGlobal('fetch', async (address: string, facts?: { method?: string; body?: string }) => {
    asked(facts?.method ?? 'GET', address, facts?.body && JSON.parse(facts.body));
    return new Response(JSON.stringify(address.includes('/api/session') ? { csrf: 'c' } : bodies.shift()));
  });
  return () => asked.mock.calls.filter(([, address]) => !String(address).includes('/api/session'));
};

afterEach(() => vi.unstubAllGlobals());

describe('a link on a board', () => {
  it('is one when a text is nothing else', () => {
    expect(linkIn('  https://films.example/a?b=1 ')).toBe('https://films.example/a?b=1');
    const none = ['See https://films.example', 'javascript:alert(1)', 'https://', 'ftp://films.example/a', undefined];
    expect(none.map(linkIn)).toEqual(none.map(() => null));
  });

  it('is found on the shelf, or put there', async () => {
    const link = 'https://films.example/lights';
    const found = answers([{ id: 'm7', link }]);
    expect(await onShelf('navigation', link)).toBe('m7');
    expect(found()).toHaveLength(1);
    const put = answers([], { id: 'm8' });
    expect(await onShelf('navigation', link)).toBe('m8');
    expect(put().at(-1)).toEqual(['POST', '/api/courses/navigation/links', { title: 'films.example/lights', link }]);
  });
});
