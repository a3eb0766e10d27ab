import { useTheme } from '@mui/material/styles';

/** The shape of a sound: how loud it is from beginning to end. */
export function Waveform({ values, width, height }: { values: number[]; width: number; height: number }) {
  const theme = useTheme();
  const step = width / Math.max(values.length, 1);
  const line = values
    .map((value, i) => `M${(i * step).toFixed(1)} ${(height / 2) * (1 - value)}v${Math.max(height * value, 1)}`)
    .join('');
  return (
    <svg aria-hidden width={width} height={height}>
      <path d={line} stroke={theme.vars!.palette.primary.main} strokeWidth={Math.max(step * 0.7, 0.6)} />
    </svg>
  );
}
