import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { GroupPlan, Right } from '../../api/shapes';
import { ALL, ownWords } from '../words/rights';
import { Words } from '../words/Words';

interface Props {
  plan: GroupPlan;
  /** Of which each room may get a copy, where that is chosen here. */
  boards?: { id: string; name: string }[];
  onChange: (changes: Partial<GroupPlan>) => void;
}

/** Seconds that people have to go by themselves. */
const ASKED = 20;

/** How people are split, wherever a group plan is made: on a step, or in class. */
export function PlanFields({ plan, boards, onChange }: Props) {
  const chosen = plan.way === 'choice' || plan.free;
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
        <Choice label="Ask people to go" on={!!plan.ask} onChange={(on) => onChange({ ask: on ? ASKED : undefined })} />
        <Choice label="People may change rooms" on={!!plan.free} onChange={(free) => onChange({ free })} />
      </Box>
      {chosen && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
          <Box sx={{ flex: '1 1 130px' }}>
            <Words
              label="Most in a room"
              value={plan.limit ? String(plan.limit) : ''}
              onSave={(text) => onChange({ limit: within(text, 1, 300) ?? undefined })}
            />
          </Box>
          <Box sx={{ flex: '1 1 180px' }}>
            <Choice label="They see who is where" on={!!plan.named} onChange={(named) => onChange({ named })} />
          </Box>
        </Box>
      )}
      <Box component="details" sx={{ '& > summary': { cursor: 'pointer', minHeight: { xs: 44, md: 32 } } }}>
        <summary>More about the rooms</summary>
        <MoreFields {...{ plan, boards, onChange }} />
      </Box>
    </Box>
  );
}

/** What is seldom other than usual. */
function MoreFields({ plan, boards, onChange }: Props) {
  const kept = ALL.filter((right) => plan.rules?.[right] === false);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, pt: 1 }}>
      {boards && (
        <TextField
          select
          fullWidth
          size="small"
          label="Each room with a copy of"
          value={boards.some(({ id }) => id === plan.board) ? plan.board : ''}
          onChange={({ target }) => onChange({ board: target.value || null })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">The board of the step</MenuItem>
          {boards.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        select
        fullWidth
        size="small"
        label="Kept from students there"
        value={kept}
        onChange={({ target }) => onChange({ rules: rulesWithout(target.value as unknown as Right[]) })}
        slotProps={{
          select: {
            multiple: true,
            displayEmpty: true,
            renderValue: (value) => (value as Right[]).map(ownWords).join(', ') || 'Nothing',
          },
          inputLabel: { shrink: true },
        }}
      >
        {ALL.map((right) => (
          <MenuItem key={right} value={right}>
            {ownWords(right)}
          </MenuItem>
        ))}
      </TextField>
      <Words
        label="Warnings, s left"
        value={(plan.warnings ?? []).join(', ')}
        onSave={(text) => onChange({ warnings: secondsIn(text) })}
      />
      {plan.ask !== undefined && (
        <Words
          label="Time to go, s"
          value={String(plan.ask)}
          onSave={(text) => onChange({ ask: within(text, 5, 600) ?? ASKED })}
        />
      )}
      <Box>
        <Choice label="Those who teach are dealt too" on={!!plan.staff} onChange={(staff) => onChange({ staff })} />
        <Choice
          label="Read and heard from outside; those in it are told"
          on={!!plan.open_doors}
          onChange={(open_doors) => onChange({ open_doors })}
        />
        <Choice
          label="Step in without being announced"
          on={!!plan.unannounced}
          onChange={(unannounced) => onChange({ unannounced })}
        />
        <Choice
          label="Sound and picture are recorded in rooms too"
          on={!!plan.recorded && !plan.unrecorded}
          onChange={(recorded) => onChange({ recorded, unrecorded: false })}
        />
        <Choice
          label="The recording pauses while rooms are open"
          on={!!plan.unrecorded}
          onChange={(unrecorded) => onChange({ unrecorded, recorded: false })}
        />
      </Box>
    </Box>
  );
}

/** All is allowed in rooms that is not kept from people; rules that say nothing else are none. */
const rulesWithout = (kept: Right[]): GroupPlan['rules'] =>
  kept.length > 0 ? Object.fromEntries(kept.map((right) => [right, false])) : undefined;

/** @returns the seconds in what was typed, the most first; nothing for those that are usual */
export function secondsIn(text: string): number[] | undefined {
  const found = (text.match(/\d+/g) ?? []).map(Number).filter((seconds) => seconds >= 5 && seconds <= 36_000);
  return found.length > 0 ? [...new Set(found)].sort((one, other) => other - one).slice(0, 8) : undefined;
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
