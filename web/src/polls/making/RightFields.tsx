import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Question } from '../../api/shapes';
import { Words } from '../../parts/words/Words';

interface Props {
  question: Question;
  onChange: (changes: Partial<Question>) => void;
}

/** What is right, where that is not said beside the options, and why. */
export function RightFields({ question, onChange }: Props) {
  const { right, kind } = question;
  return (
    <>
      {kind === 'yes_no' && (
        <TextField
          select
          size="small"
          label="Right"
          value={right?.options?.[0] ?? ''}
          onChange={(event) => onChange({ right: event.target.value ? { options: [event.target.value] } : undefined })}
        >
          <MenuItem value="">Neither</MenuItem>
          <MenuItem value="yes">Yes</MenuItem>
          <MenuItem value="no">No</MenuItem>
        </TextField>
      )}
      {kind === 'short' && (
        <Words
          label="Right answers, with commas between"
          most={400}
          value={(right?.words ?? []).join(', ')}
          onSave={(text) => {
            const words = text
              .split(',')
              .map((word) => word.trim())
              .filter((word) => word !== '');
            onChange({ right: words.length > 0 ? { words: words.slice(0, 20) } : undefined });
          }}
        />
      )}
      {kind === 'number' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
          <Words
            label="Right"
            most={20}
            value={right?.number === undefined ? '' : String(right.number)}
            onSave={(text) => onChange({ right: numberOf(text, right?.tolerance) })}
          />
          <Words
            label="Give or take"
            most={20}
            value={right?.tolerance === undefined ? '' : String(right.tolerance)}
            onSave={(text) =>
              right?.number !== undefined && onChange({ right: numberOf(String(right.number), figure(text)) })
            }
          />
        </Box>
      )}
      {right && (
        <Words
          label="Why, told together with what is right"
          lines={2}
          most={1_000}
          value={question.explanation ?? ''}
          onSave={(words) => onChange({ explanation: words.trim() || undefined })}
        />
      )}
    </>
  );
}

const figure = (text: string): number | undefined => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) ? value : undefined;
};

function numberOf(text: string, tolerance: number | undefined): Question['right'] {
  const number = figure(text);
  return number === undefined ? undefined : { number, ...(tolerance !== undefined && { tolerance }) };
}
