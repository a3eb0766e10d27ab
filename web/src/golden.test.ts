import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { boundsOf, boxOf, heightOf, type Box } from './board/geometry/boxes';
import { outlinePath } from './board/geometry/outline';
import { fittedView, type View } from './board/hand/useView';
import { arrowHead, signPath, strokePath } from './board/geometry/paths';
import { notYet } from './polls/making/notYet';
import { rowsOf, type Row } from './polls/page/rows';
import { mayChange, mayMove } from './board/selection/mayChange';
import { layOut } from './board/geometry/textLayout';
import type { BoardState } from './live/board';
import { foldOf } from './live/folds';
import { clipPosition, placeFold, type PlaceState } from './live/place';
import type { Entry, Mark, PageRow, Question, RuledBody, Tally } from './api/shapes';

// What the core computes too: RSpec writes these files down (spec/support/golden.rb) and holds the core to them.
const golden = <Case>(name: string): Case[] =>
  JSON.parse(readFileSync(join(import.meta.dirname, `../../spec/golden/${name}.json`), 'utf8')) as Case[];

/** Numbers of a path: both sides round to two places, and may round the last one differently. */
function expectPath(path: string, expected: string) {
  const numbers = (text: string) => (text.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  expect(path.replace(/-?\d+(\.\d+)?/g, '#')).toBe(expected.replace(/-?\d+(\.\d+)?/g, '#'));
  const wanted = numbers(expected);
  numbers(path).forEach((value, i) => expect(Math.abs(value - wanted[i]!)).toBeLessThan(0.0151));
}

describe('as the core has it', () => {
  it('breaks text into lines', () => {
    interface Case {
      text: string;
      size: number;
      width: number;
      inset: number;
      lines: string[];
      height: number;
    }
    for (const { text, size, width, inset, lines, height } of golden<Case>('text_layout')) {
      const layout = layOut(text, size, width, inset);
      expect(layout.lines).toEqual(lines);
      expect(layout.height).toBeCloseTo(height);
    }
  });

  it('draws strokes, arrow heads and signs', () => {
    for (const { points, width, path, head } of golden<{
      points: number[];
      width: number;
      path: string;
      head?: string;
    }>('stroke_paths')) {
      expectPath(strokePath(points), path);
      if (head) expectPath(arrowHead(points, width), head);
    }
    for (const { sign, w, h, path } of golden<{ sign: string; w: number; h: number; path: string }>('signs'))
      expectPath(signPath(sign, w, h), path);
  });

  it('says what a poll came to', () => {
    for (const { question, tally, rows } of golden<{ question: Question; tally: Tally; rows: Row[] }>('poll_rows'))
      expect(rowsOf(question, tally)).toEqual(rows);
  });

  it('says what a poll still lacks', () => {
    for (const { question, says } of golden<{ question: Question; says: string | null }>('not_yet'))
      expect([question, notYet(question)]).toEqual([question, says]);
  });

  it('knows where a clip stands', () => {
    type Clip = Parameters<typeof clipPosition>[0];
    for (const { clip, now, position } of golden<{ clip: Clip; now: number; position: number }>('clips'))
      expect(clipPosition(clip, now)).toBe(position);
  });

  it('outlines strokes by the pressure of the pen', () => {
    for (const { points, press, width, path } of golden<{
      points: number[];
      press: number[];
      width: number;
      path: string;
    }>('outlines'))
      expectPath(outlinePath(points, press, width), path);
  });

  it('knows how much room marks take', () => {
    const list = ({ x, y, w, h }: Box) => [x, y, w, h];
    for (const { mark, box, bounds } of golden<{ mark: Mark; box: number[]; bounds: number[] }>('bounds')) {
      list(boxOf(mark)).forEach((value, i) => expect(value).toBeCloseTo(box[i]!, 6));
      list(boundsOf(mark)).forEach((value, i) => expect(value).toBeCloseTo(bounds[i]!, 6));
    }
  });

  it('knows how high a page is', () => {
    for (const { facts, marks, height } of golden<{ facts: Omit<PageRow, 'page'>; marks: Mark[]; height: number }>(
      'page_heights',
    )) {
      const board = {
        facts: new Map([['p1', facts]]),
        marks: new Map(marks.map((mark) => [mark.id, mark])),
      } as unknown as BoardState;
      expect(heightOf(board, 'p1')).toBe(height);
    }
  });

  it('lays a page into a box', () => {
    for (const { height, w, h, ...view } of golden<View & { height: number; w: number; h: number }>('fits')) {
      const fitted = fittedView(height, { width: w, height: h });
      for (const side of ['scale', 'x', 'y'] as const) expect(fitted[side]).toBeCloseTo(view[side], 5);
    }
  });

  for (const { stream, begins, entries, view } of golden<{
    stream: string;
    begins: unknown;
    entries: Entry[];
    view: unknown;
  }>('folds'))
    it(`follows ${stream}`, () => {
      const fold = foldOf(stream);
      const followed = entries.reduce((state, entry) => fold.apply(state, entry), fold.from(begins));
      expect(followed).toEqual(fold.from(view));
    });

  it('knows who may change and move which marks', () => {
    type Facts = Record<'own' | 'locked' | 'staff' | 'draw' | 'arrange' | 'props' | 'change' | 'move', boolean>;
    for (const facts of golden<Facts & { kind: 'stroke' | 'prop' }>('may_change')) {
      const { kind, own, locked, staff } = facts;
      const mark = { id: 'm', kind, locked, by: own ? 'me' : 'other' } as unknown as Mark;
      // Staff may do everything: the rules of a class are for students.
      const who = {
        me: { id: 'me', staff },
        mayDraw: staff || facts.draw,
        mayArrange: staff || facts.arrange,
        mayProp: staff || facts.props,
      };
      expect({ ...facts, change: mayChange(who, mark), move: mayMove(who, mark) }).toEqual(facts);
    }
  });

  it('changes house rules', () => {
    type Rules = PlaceState['rules'];
    for (const { before, set, after } of golden<{ before: Rules; set: RuledBody; after: Rules }>('house_rules')) {
      const place = { rules: before } as PlaceState;
      const changed = placeFold.apply(place, { seq: 1, at: 1, by: 'odalys', kind: 'ruled', body: set }).rules;
      expect(changed.for_all).toEqual(after.for_all);
      const sorted = (rows: Rules['exceptions']) =>
        [...rows].sort((a, b) => `${a.right}${a.person}`.localeCompare(`${b.right}${b.person}`));
      expect(sorted(changed.exceptions)).toEqual(sorted(after.exceptions));
    }
  });
});
