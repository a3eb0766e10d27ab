import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { DAYS, DAY_NAMES, REPEATS, type Choice, type Day, type Repeat } from './rules';

interface Props {
  choice: Choice;
  onChoice: (choice: Choice) => void;
  /** Whether it may be once. */
  once?: boolean;
}

/** How often lessons recur, and on which days. */
export function RepeatFields({ choice, onChoice, once = true }: Props) {
  const { repeat, days, times, rule } = choice;
  const set = (some: Partial<Choice>) => onChoice({ ...choice, ...some });
  const weeks = repeat === 'weekly' || repeat === 'fortnightly';
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <TextField
          select
          size="small"
          label="How often"
          value={repeat}
          onChange={(event) => set({ repeat: event.target.value as Repeat })}
          sx={{ flex: 1 }}
        >
          {(Object.keys(REPEATS) as Repeat[])
            .filter((one) => once || one !== 'once')
            .map((one) => (
              <MenuItem key={one} value={one}>
                {REPEATS[one]}
              </MenuItem>
            ))}
        </TextField>
        {repeat !== 'once' && repeat !== 'own' && (
          <TextField
            size="small"
            label="Lessons"
            value={times === 0 ? '' : String(times)}
            onChange={(event) => set({ times: Number(event.target.value.replace(/\D/g, '').slice(0, 3)) })}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            sx={{ width: 100 }}
          />
        )}
      </Box>
      {weeks && (
        <ToggleButtonGroup
          size="small"
          value={days}
          onChange={(_, some: Day[]) => some.length > 0 && set({ days: some })}
          aria-label="On which days"
          sx={{ flexWrap: 'wrap' }}
        >
          {DAYS.map((day, i) => (
            <ToggleButton
              key={day}
              value={day}
              title={DAY_NAMES[i]}
              sx={{ flex: 1, minWidth: 44, textTransform: 'none' }}
            >
              {DAY_NAMES[i]!.slice(0, 3)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {repeat === 'own' && (
        <TextField
          size="small"
          label="Rule (RFC 5545)"
          placeholder="FREQ=MONTHLY;COUNT=6;BYMONTHDAY=15"
          value={rule}
          onChange={(event) => set({ rule: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 1000, spellCheck: false } }}
        />
      )}
    </>
  );
}
