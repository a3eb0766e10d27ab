import { PAGE_WIDTH, SPOT_SQUARE } from '../../api/contracts';
import type { AnswerGroup, PollResults, Question, Tally } from '../../api/shapes';
import type { NewMark } from '../../live/board';
import { newId } from '../../live/LiveClient';
import { CLOUD_HEIGHT, CLOUD_WIDTH, layOut } from '../results/cloudLayout';
import { flowOf, type Band, type End } from '../results/flow';
import { answerWords } from '../words';

/** What a picture needs to become marks on a page. */
export interface Sheet {
  page: string;
  group: string;
}

/** px of a page in which the picture lies, below what was asked. */
const TOP = 220;
const FLOW_HEIGHT = 640;
const FROM = 560;
const TO = 1_040;
const POST = 24;
/** Corners of a band on each side of it, so that it leaves and arrives level. */
const STEPS = 12;

const text = ({ page, group }: Sheet, words: string, x: number, y: number, size: number, w: number): NewMark => {
  return { id: newId(), page, group, kind: 'text', ink: 'slate', x, y, w, size, text: words };
};

/** Two rounds side by side: posts, bands between them, and words beside. */
export function flowMarks(question: Question, results: PollResults, sheet: Sheet): NewMark[] {
  const right = JSON.stringify(question.right?.options ?? null);
  const { left, ends, bands } = flowOf(results.moves?.ways ?? [], FLOW_HEIGHT, right);
  const ink = (key: string): NewMark['ink'] => (key === right ? 'moss' : 'umber');
  const post = (end: End, x: number): NewMark => ({
    ...{
      id: newId(),
      page: sheet.page,
      group: sheet.group,
      kind: 'rectangle',
      ink: ink(end.key),
      fill: true,
      width: 2,
    },
    ...{ x, y: TOP + 40 + end.y, w: POST, h: Math.max(end.height, 2) },
  });
  const label = (end: End, x: number) =>
    text(sheet, `${answerWords(question, end.value)}: ${end.count}`, x, TOP + 40 + end.y, 26, 380);
  return [
    text(sheet, `round ${results.since}`, FROM - 400, TOP - 10, 26, 380),
    text(sheet, `round ${results.round}`, TO + POST + 20, TOP - 10, 26, 380),
    ...bands.map((band) => bandMark(band, ink(band.to), sheet)),
    ...bands.map((band) =>
      text(sheet, String(band.count), FROM + POST + 12, TOP + 24 + band.y0 + band.height / 2, 24, 80),
    ),
    ...left.flatMap((end) => [post(end, FROM), label(end, FROM - 400)]),
    ...ends.flatMap((end) => [post(end, TO), label(end, TO + POST + 20)]),
  ];
}

function bandMark({ y0, y1, height }: Band, ink: NewMark['ink'], { page, group }: Sheet): NewMark {
  const width = TO - FROM - POST;
  const at = (share: number) => y0 + (y1 - y0) * (3 * share ** 2 - 2 * share ** 3);
  const above = Array.from({ length: STEPS + 1 }, (_, i) => [(width * i) / STEPS, at(i / STEPS)] as const);
  const below = above.toReversed().map(([x, y]) => [x, y + height] as const);
  const points = [...above, ...below].flatMap(([x, y]) => [Math.round(x), Math.round(y - y0)]);
  return { id: newId(), page, group, kind: 'polygon', ink, width: 2, x: FROM + POST, y: TOP + 40 + y0, points };
}

/** A cloud as words in their places. */
export function cloudMarks(groups: AnswerGroup[], sheet: Sheet): Promise<NewMark[]> {
  const scale = (PAGE_WIDTH - 200) / CLOUD_WIDTH;
  return new Promise((settle) => {
    layOut(groups, (words) =>
      settle(
        words.map(({ text: word, size, x, y }) => {
          const px = Math.min(Math.max(size * scale * 0.9, 14), 200);
          const w = Math.max(word.length * px * 0.62, 40);
          const [left, top] = [PAGE_WIDTH / 2 + x * scale - w / 2, TOP + (CLOUD_HEIGHT * scale) / 2 + y * scale - px];
          return text(sheet, word, Math.round(left), Math.round(top), Math.round(px), Math.round(w));
        }),
      ),
    );
  });
}

/** Where people put their spots, as circles on the very page that was asked about. */
export const spotMarks = (tally: Tally, sheet: Sheet): NewMark[] =>
  (tally.spots ?? []).map(({ x, y, count }) => {
    const r = SPOT_SQUARE * (0.6 + 0.3 * Math.sqrt(count));
    const middle = SPOT_SQUARE / 2;
    return {
      ...{
        id: newId(),
        page: sheet.page,
        group: sheet.group,
        kind: 'ellipse' as const,
        ink: 'brick' as const,
        width: 5,
      },
      ...{ x: Math.round(x + middle - r), y: Math.round(y + middle - r), w: Math.round(2 * r), h: Math.round(2 * r) },
    };
  });
