import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { CaptionCue, RecordingFacts } from '../../api/shapes';
import { duration } from '../../parts/words/times';
import { CaptionFiles } from './edit/CaptionFiles';
import { CorrectLine } from './edit/CorrectLine';
import type { Recorder } from './Recorder';
import type { useCaptions } from './useCaptions';
import { useTold } from './usePlayback';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  captions: ReturnType<typeof useCaptions>;
}

/** All that was said, in writing: the line of this moment marked, each the way to its own. Staff put lines right here. */
export function Transcript({ recorder, facts, captions: { lines, lang, again } }: Props) {
  const now = useTold(recorder, ({ time }) => lines.findLast(({ from }) => from <= time)?.id);
  const [correcting, setCorrecting] = useState<string | null>(null);
  const here = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Whoever reads back, or writes, is not pulled away.
    if (recorder.playing && !correcting) here.current?.scrollIntoView({ block: 'nearest' });
  }, [now, recorder, correcting]);
  return (
    <Box sx={{ p: 1.75, pt: 0.5, fontSize: 15, overflowY: 'auto', minHeight: 0, flex: 1 }}>
      {lines.length === 0 && (
        <Box sx={{ color: 'text.secondary', mb: 1 }}>
          There are no captions yet.{facts.staff && ' Write them in class, or take them in from a file.'}
        </Box>
      )}
      <Box component="ol" lang={lang} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {lines.map((line, i) => (
          <li key={line.id} ref={line.id === now ? here : undefined}>
            {correcting === line.id ? (
              <CorrectLine
                {...{ line, lang: lang!, recording: facts.id, recorder }}
                next={lines[i + 1]}
                onDone={(changed) => {
                  setCorrecting(null);
                  if (changed) void again();
                }}
              />
            ) : (
              <Spoken
                {...{ line }}
                now={line.id === now}
                onGo={() => recorder.seek(line.from)}
                onCorrect={facts.staff ? () => setCorrecting(line.id) : undefined}
              />
            )}
          </li>
        ))}
      </Box>
      <CaptionFiles {...{ facts, lang }} onTaken={() => void again()} />
    </Box>
  );
}

interface SpokenProps {
  line: CaptionCue;
  now: boolean;
  onGo: () => void;
  onCorrect?: () => void;
}

function Spoken({ line: { from, words }, now, onGo, onCorrect }: SpokenProps) {
  return (
    <Box
      sx={{
        ...{
          display: 'flex',
          alignItems: 'start',
          gap: 0.5,
          borderRadius: 1,
          bgcolor: now ? 'veranda.wash' : undefined,
        },
        // Where there is a mouse the line is read first.
        '@media (hover: hover)': { '&:not(:hover, :focus-within) .correct': { opacity: 0 } },
      }}
    >
      <Box
        component="button"
        aria-current={now || undefined}
        onClick={onGo}
        sx={{
          ...{ flex: 1, display: 'flex', gap: 1, textAlign: 'start', p: 0.5, border: 0, bgcolor: 'transparent' },
          ...{ font: 'inherit', color: 'inherit', cursor: 'pointer', minHeight: { xs: 44, md: 0 } },
        }}
      >
        <Box
          sx={{ color: 'text.secondary', fontSize: 13, width: 44, flex: 'none', fontVariantNumeric: 'tabular-nums' }}
        >
          {duration(from)}
        </Box>
        <Box dir="auto" sx={{ whiteSpace: 'pre-line', overflowWrap: 'anywhere' }}>
          {words}
        </Box>
      </Box>
      {onCorrect && (
        <Button size="small" className="correct" onClick={onCorrect} aria-label={`Put right: ${words}`}>
          Put right
        </Button>
      )}
    </Box>
  );
}
