import type { CaptionCue } from '../../api/shapes';
import { CaptionLines } from '../../captions/CaptionLines';
import { useCaptionWish } from '../../captions/wish';
import type { Recorder } from './Recorder';
import { useTold } from './usePlayback';

interface Props {
  recorder: Recorder;
  lines: CaptionCue[];
  lang?: string;
}

/** What was said at this moment, in writing. */
export function CaptionsThen({ recorder, lines, lang }: Props) {
  const [wish] = useCaptionWish();
  const now = useTold(recorder, ({ time }) =>
    lines
      .filter(({ from, to }) => from <= time && time < to)
      .map(({ id }) => id)
      .join(' '),
  ).split(' ');
  if (!wish.on || lines.length === 0) return null;
  return <CaptionLines lines={lines.filter(({ id }) => now.includes(id))} lang={lang} wish={wish} />;
}
