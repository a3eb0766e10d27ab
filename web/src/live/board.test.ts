import { describe, expect, it } from 'vitest';
import { boardFold, type BoardState, type NewMark } from './board';
import type { Entry } from '../api/shapes';

const EMPTY = { pages: ['p1'], page_facts: [], marks: [], authors: [], undo: [], top: 0 };
const fold = (...entries: [string, Record<string, unknown>][]): BoardState =>
  entries.reduce(
    (state, [kind, body], i) => boardFold.apply(state, { seq: i + 1, at: i, by: 'odalys', kind, body } as Entry),
    boardFold.from(EMPTY),
  );

const stroke: NewMark = {
  id: 'm',
  page: 'p1',
  kind: 'stroke',
  x: 0,
  y: 0,
  ink: 'lake',
  width: 4,
  points: [0, 0, 9, 9],
};
const put = (mark: object): [string, Record<string, unknown>] => ['edited', { ops: [{ op: 'put', mark }] }];
const ground = { material: 'deck', version: 1, slide: 1, w: 4, h: 3 };

describe('following a board', () => {
  it('takes away fields that are set to null, as straightening does', () => {
    const set = { kind: 'ellipse', points: null, w: 10, h: 10 };
    const state = fold(put(stroke), ['edited', { ops: [{ op: 'change', id: 'm', set }] }]);
    expect(state.marks.get('m')).toMatchObject({ kind: 'ellipse', w: 10, by: 'odalys' });
    expect(state.marks.get('m')).not.toHaveProperty('points');
  });

  it('lays slides under pages, adding those that are not there', () => {
    const state = fold([
      'laid',
      {
        pages: [
          { page: 'p1', ground },
          { page: 'x', ground: { ...ground, slide: 2 } },
        ],
      },
    ]);
    expect(state.pages).toEqual(['p1', 'x']);
    expect(state.facts.get('x')?.ground?.slide).toBe(2);
  });

  it('keeps the slide of a page that may grow', () => {
    const state = fold(
      ['laid', { pages: [{ page: 'p1', ground }] }],
      ['laid', { pages: [{ page: 'p1', grows: true }] }],
    );
    expect(state.facts.get('p1')).toEqual({ ground, grows: true });
  });

  it('shows what a prop shows, without making it anybody’s edit', () => {
    const dice = { ...stroke, kind: 'prop', prop: 'dice', settings: { count: 1, faces: 6 } };
    const state = fold(put(dice), ['prop_used', { id: 'm', shows: { rolled: [4] } }]);
    expect(state.marks.get('m')?.shows).toEqual({ rolled: [4] });
    expect(state.undo.get('odalys')).toEqual({ done: 1, undone: 0 });
  });

  it('takes in the pages, marks and authors of another board', () => {
    const mark = { ...stroke, by: 'tomas', at: 5, z: 7 };
    const authors = [{ id: 'tomas', name: 'Tomas Ferrand' }];
    const state = fold(
      ['taken_in', { pages: [{ page: 'a' }, { page: 'b', ground }], marks: [mark], authors }],
      put({ ...stroke, id: 'n' }),
    );
    expect(state.pages).toEqual(['a', 'b']);
    expect(state.authors.get('tomas')).toBe('Tomas Ferrand');
    expect(state.marks.get('n')?.z).toBe(8);
  });
});
