import Box from '@mui/material/Box';
import Tooltip from '@mui/material/Tooltip';
import type { Timing } from '../../api/shapes';
import { count } from '../../parts/words/times';

interface Props {
  timing: Timing;
  /** Ms since `timing` was told. */
  age: number;
  onStep?: (step: string) => void;
}

/** The class as one strip: steps in proportion to their minutes, what has passed filled, a line for now. */
export function RunStrip({ timing, age, onStep }: Props) {
  const lengthOf = (stretch: Timing['stretches'][number]) => Math.max(stretch.planned, stretch.spent, 60_000);
  return (
    <Box
      role="group"
      aria-label="Run strip"
      sx={{
        display: { xs: 'none', md: 'flex' },
        flex: 1,
        minWidth: 120,
        height: 34,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        overflow: 'hidden',
        bgcolor: 'background.paper',
      }}
    >
      {timing.stretches.map((stretch, i) => {
        const present = stretch.state === 'now';
        const spent = stretch.spent + (present ? age : 0);
        const share = stretch.state === 'past' ? 1 : Math.min(spent / lengthOf(stretch), 1);
        const minutes = Math.round(stretch.planned / 60_000);
        return (
          <Tooltip
            key={stretch.step}
            title={`${stretch.title}: ${count(Math.floor(spent / 60_000), 'minute')} of ${minutes}`}
          >
            <Box
              component={onStep ? 'button' : 'div'}
              onClick={onStep && (() => onStep(stretch.step))}
              aria-current={present ? 'step' : undefined}
              sx={{
                flex: `${lengthOf(stretch)} 1 0`,
                minWidth: 0,
                containerType: 'inline-size',
                position: 'relative',
                px: 1,
                m: 0,
                border: 0,
                borderRight: 1,
                borderColor: 'divider',
                '&:last-child': { borderRight: 0 },
                font: 'inherit',
                fontSize: 13,
                lineHeight: '32px',
                fontWeight: present ? 700 : 400,
                textAlign: 'left',
                color: 'text.primary',
                cursor: onStep ? 'pointer' : 'default',
                overflow: 'hidden',
                whiteSpace: 'nowrap',
                background: `linear-gradient(90deg, var(--mui-palette-veranda-wash) ${share * 100}%, transparent 0)`,
              }}
            >
              {present && (
                <Box
                  aria-hidden
                  sx={{
                    position: 'absolute',
                    top: 0,
                    bottom: 0,
                    left: `calc(${share * 100}% - 1px)`,
                    width: '2px',
                    bgcolor: 'text.primary',
                  }}
                />
              )}
              <StretchTitle title={stretch.title} number={i + 1} />
            </Box>
          </Tooltip>
        );
      })}
    </Box>
  );
}

/** About how wide (px) a letter of a title is at 13 px, in the bold of the present step. */
const LETTER = 7.3;

/** The title of a step where there is room for all of it, else its number: two letters of a name tell nobody anything. */
function StretchTitle({ title, number }: { title: string; number: number }) {
  const fits = `@container (min-width: ${Math.ceil(title.length * LETTER)}px)`;
  return (
    <>
      <Box component="span" sx={{ display: 'none', [fits]: { display: 'inline' } }}>
        {title}
      </Box>
      <Box component="span" aria-label={title} sx={{ [fits]: { display: 'none' } }}>
        {number}
      </Box>
    </>
  );
}
