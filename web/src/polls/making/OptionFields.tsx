import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { MOST_OPTIONS, POLL_LIMITS } from '../../api/contracts';
import type { Question } from '../../api/shapes';
import { newId } from '../../live/LiveClient';
import { useState } from 'react';
import { ShelfPicker } from '../../shelf/ShelfPicker';
import { Words } from '../../parts/words/Words';

interface Props {
  question: Question;
  onChange: (changes: Partial<Question>) => void;
  /** Id of the course from whose shelf pictures are taken; none without. */
  course?: string;
}

/** The options of a poll, which of them are right, and how many one may choose. */
export function OptionFields({ question, onChange, course }: Props) {
  const [picking, setPicking] = useState<number | null>(null);
  const options = question.options ?? [];
  const right = question.right?.options ?? [];
  const graded = question.kind !== 'order';
  const mark = (id: string) => {
    const others = right.filter((one) => one !== id);
    const next = right.includes(id) ? others : question.kind === 'one' ? [id] : [...right, id];
    onChange({ right: next.length > 0 ? { options: next } : undefined });
  };
  const put = (index: number, text: string) =>
    onChange({ options: options.map((option, i) => (i === index ? { ...option, text } : option)) });
  const show = (index: number, picture: Question['picture']) =>
    onChange({
      options: options.map(({ id, text, picture: old }, i) => {
        const kept = i === index ? picture : old;
        return { id, text, ...(kept && { picture: kept }) };
      }),
    });
  const swap = (index: number) =>
    onChange({ options: options.toSpliced(index - 1, 2, options[index]!, options[index - 1]!) });
  const out = (id: string) => {
    const left = right.filter((one) => one !== id);
    onChange({
      options: options.filter((option) => option.id !== id),
      right: graded && left.length > 0 ? { options: left } : undefined,
    });
  };
  return (
    <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 0.75 }}>
      {options.map(({ id, text, picture }, i) => (
        <Box
          component="li"
          key={id}
          sx={{ display: 'flex', gap: 0.5, alignItems: 'center', '& button': { minWidth: 0, px: 1 } }}
        >
          <Words
            label={`Option ${i + 1}`}
            most={POLL_LIMITS.option}
            value={text}
            onSave={(words) => put(i, words.trim())}
          />
          {graded && (
            <Button
              aria-label={`Right: option ${i + 1}`}
              aria-pressed={right.includes(id)}
              variant={right.includes(id) ? 'contained' : 'outlined'}
              color={right.includes(id) ? 'primary' : 'inherit'}
              onClick={() => mark(id)}
            >
              Right
            </Button>
          )}
          {course && (
            <Button
              aria-label={`Picture: option ${i + 1}`}
              aria-pressed={picture !== undefined}
              onClick={() => (picture ? show(i, undefined) : setPicking(i))}
            >
              {picture ? 'No picture' : 'Picture'}
            </Button>
          )}
          {i > 0 && (
            <Button aria-label={`Up: option ${i + 1}`} onClick={() => swap(i)}>
              Up
            </Button>
          )}
          {options.length > 2 && (
            <Button aria-label={`Out: option ${i + 1}`} onClick={() => out(id)}>
              Out
            </Button>
          )}
        </Box>
      ))}
      <Box component="li" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {options.length < MOST_OPTIONS && (
          <Button size="small" onClick={() => onChange({ options: [...options, { id: newId(), text: '' }] })}>
            One more option
          </Button>
        )}
        {question.kind === 'order' && (
          <Button
            size="small"
            aria-pressed={right.length > 0}
            onClick={() => onChange({ right: right.length > 0 ? undefined : { options: options.map(({ id }) => id) } })}
          >
            {right.length > 0 ? 'No order is right' : 'This order is right'}
          </Button>
        )}
        {question.kind === 'several' && (
          <TextField
            select
            size="small"
            label="At most"
            value={question.most ?? options.length}
            onChange={(event) => onChange({ most: Number(event.target.value) })}
            sx={{ width: 110 }}
          >
            {options.map((_, i) => (
              <MenuItem key={i} value={i + 1}>
                {i + 1}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      {picking !== null && course && (
        <ShelfPicker
          course={course}
          onClose={() => setPicking(null)}
          onSlide={(material, { slide }) => {
            show(picking, { material: material.id, version: material.version, slide });
            setPicking(null);
          }}
        />
      )}
    </Box>
  );
}
