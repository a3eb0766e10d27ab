import { PAGE_WIDTH } from '../../api/contracts';
import type { PollResults, Question, Tally } from '../../api/shapes';
import type { NewMark } from '../../live/board';
import { newId } from '../../live/LiveClient';
import { people, percent } from '../words';
import { cloudMarks, flowMarks, spotMarks, type Sheet } from './pictureMarks';
import { rowsOf } from './rows';

/** px of a page: where it begins, how far bars go, and how far apart rows are at most. */
const LEFT = 120;
const TOP = 210;
const WIDEST = 1_100;
const ROW = 92;
const BOTTOM = 960;
/** Rows that are still read on a page. */
const MOST = 12;

/** @returns what was asked and how many answered, in words above the picture */
function headOf(question: Question, tally: Tally, { page, group }: Sheet): NewMark[] {
  const right = tally.right === null ? '' : `, ${percent(tally.right)} right`;
  const line = (text: string, y: number, size: number): NewMark => {
    return { id: newId(), page, group, kind: 'text', ink: 'slate', x: LEFT, y, w: PAGE_WIDTH - 2 * LEFT, size, text };
  };
  return [line(question.text, 60, 40), line(`${people(tally.count)} answered${right}`, 140, 24)];
}

/** @returns what a poll came to as marks on a page, so that words stay words: two rounds as a flow, words as a cloud, the rest as bars */
export async function asMarks(question: Question, results: PollResults, page: string): Promise<NewMark[]> {
  const { tally, moves } = results;
  const sheet = { page, group: newId() };
  if (question.kind === 'spot') return spotMarks(tally, sheet);
  const head = headOf(question, tally, sheet);
  if (moves?.ways) return [...head, ...flowMarks(question, results, sheet)];
  if (question.kind === 'cloud') return [...head, ...(await cloudMarks(tally.groups ?? [], sheet))];
  return [...head, ...barMarks(question, tally, sheet)];
}

function barMarks(question: Question, tally: Tally, { page, group }: Sheet): NewMark[] {
  const rows = rowsOf(question, tally).slice(0, MOST);
  const most = Math.max(1, ...rows.map(({ count }) => count));
  const step = Math.min(ROW, (BOTTOM - TOP) / Math.max(rows.length, 1));
  const text = (words: string, x: number, y: number, size: number, w: number): NewMark => {
    return { id: newId(), page, kind: 'text', ink: 'slate', x, y, w, size: Math.max(size, 14), text: words, group };
  };
  return rows.flatMap(({ words, count }, i) => {
    const y = TOP + i * step;
    const w = Math.max((WIDEST * count) / most, 2);
    const bar: NewMark = {
      ...{ id: newId(), page, kind: 'rectangle', ink: 'lake', fill: true, width: 2, group },
      ...{ x: LEFT, y: y + step * 0.42, w, h: step * 0.36 },
    };
    return [
      text(words, LEFT, y, Math.min(26, step * 0.34), WIDEST),
      bar,
      text(String(count), LEFT + w + 14, y + step * 0.4, Math.min(28, step * 0.4), 120),
    ];
  });
}
