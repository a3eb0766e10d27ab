import Box from '@mui/material/Box';
import { pointsOf } from '../words';
import type { FieldProps } from './Answering';

/** A point between two ends that have names. */
export function Scale({ question, draft, onDraft }: FieldProps) {
  const points = Array.from({ length: pointsOf(question) }, (_, i) => i + 1);
  const [low, high] = question.ends ?? [];
  return (
    <Box>
      <Box
        role="radiogroup"
        aria-label={question.text}
        sx={{ display: 'grid', gridTemplateColumns: `repeat(${points.length > 7 ? 6 : points.length}, 1fr)`, gap: 0.5 }}
      >
        {points.map((point) => (
          <Box
            key={point}
            component="button"
            type="button"
            role="radio"
            aria-checked={draft.point === point}
            onClick={() => onDraft({ ...draft, point })}
            sx={{
              minHeight: 44,
              font: 'inherit',
              color: 'inherit',
              fontWeight: draft.point === point ? 700 : 400,
              borderRadius: 1,
              border: 1,
              borderColor: draft.point === point ? 'primary.main' : 'divider',
              bgcolor: draft.point === point ? 'veranda.wash' : 'background.paper',
              cursor: 'pointer',
            }}
          >
            {point}
          </Box>
        ))}
      </Box>
      {(low || high) && (
        <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 13, color: 'text.secondary' }}>
          <span dir="auto">{low}</span>
          <span dir="auto">{high}</span>
        </Box>
      )}
    </Box>
  );
}
