import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { GroupPlan } from '../../api/shapes';
import { Words } from '../words/Words';

interface Props {
  plan: GroupPlan;
  onChange: (changes: Partial<GroupPlan>) => void;
}

/** How people are split, wherever a group plan is made: on a step, or in class. */
export function PlanFields({ plan, onChange }: Props) {
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <TextField
          select
          size="small"
          label="Split by"
          value={plan.by}
          onChange={({ target }) => onChange({ by: target.value as GroupPlan['by'] })}
          sx={{ flex: '1 1 176px' }}
        >
          <MenuItem value="size">People in a room</MenuItem>
          <MenuItem value="rooms">Number of rooms</MenuItem>
        </TextField>
        <Box sx={{ flex: '1 0 92px' }}>
          <Words
            label="How many"
            value={String(plan.number)}
            onSave={(text) => onChange({ number: within(text, 1, 300) ?? plan.number })}
          />
        </Box>
      </Box>
      <TextField
        select
        fullWidth
        size="small"
        label="Fill the rooms"
        value={plan.way ?? 'deal'}
        onChange={({ target }) => onChange({ way: target.value as GroupPlan['way'] })}
      >
        <MenuItem value="deal">Dealt: new partners as far as can be</MenuItem>
        <MenuItem value="hand">By hand</MenuItem>
        <MenuItem value="choice">Each chooses</MenuItem>
      </TextField>
      <Words
        label="What to do there"
        value={plan.words ?? ''}
        lines={2}
        most={600}
        onSave={(words) => onChange({ words })}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Words
          label="Minutes"
          value={plan.minutes ? String(plan.minutes) : ''}
          onSave={(text) => onChange({ minutes: within(text, 1, 600) })}
        />
        <Words
          label="Grace, s"
          value={String(plan.grace ?? 30)}
          onSave={(text) => onChange({ grace: within(text, 0, 600) ?? 0 })}
        />
      </Box>
      <Words
        label="Names of the rooms, one a line"
        value={(plan.names ?? []).join('\n')}
        lines={2}
        onSave={(text) => onChange({ names: namesIn(text) })}
      />
      <Box>
        <Choice label="Ask people to go" on={!!plan.ask} onChange={(on) => onChange({ ask: on ? 20 : undefined })} />
        <Choice label="People may change rooms" on={!!plan.free} onChange={(free) => onChange({ free })} />
      </Box>
    </Box>
  );
}

const Choice = ({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) => (
  <FormControlLabel
    label={label}
    sx={{ display: 'flex', minHeight: { xs: 44, md: 34 } }}
    control={<Switch size="small" checked={on} onChange={(_, now) => onChange(now)} />}
  />
);

/** @returns the names in what was typed or pasted: one a line, or with commas or tabs between them */
export const namesIn = (text: string): string[] =>
  text
    .split(/[\n,;\t]/)
    .map((name) => name.trim().slice(0, 40))
    .filter((name) => name !== '')
    .slice(0, 100);

/** @returns the whole number that somebody wrote, held between two bounds; null for none */
export function within(text: string, least: number, most: number): number | null {
  const number = Math.round(Number(text.trim().replace(',', '.')));
  return text.trim() === '' || !Number.isFinite(number) ? null : Math.min(Math.max(number, least), most);
}
