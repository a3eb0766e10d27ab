import Box from '@mui/material/Box';
import type { Timing } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';

/** When late: which steps to come could give minutes, as the core has worked it out. */
export function Late({ sitting, squeeze }: { sitting: SittingState; squeeze: NonNullable<Timing['squeeze']> }) {
  return (
    <Box component="section" aria-label="Running late" sx={{ fontSize: 14 }}>
      To end in time, take
      {squeeze.map(({ step, less }) => (
        <div key={step}>
          {less} min off {sitting.steps.find(({ id }) => id === step)?.title}
        </div>
      ))}
    </Box>
  );
}
