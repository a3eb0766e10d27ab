import Box from '@mui/material/Box';
import Switch from '@mui/material/Switch';
import { RULES } from '../../api/contracts';
import { ALL, broughtWords } from '../../parts/words/rights';

type Rules = Record<string, boolean>;

/** House rules that a step brings with it, or none: then those before it stay in force. */
export function StepRules({ rules, onRules }: { rules: Rules | null; onRules: (rules: Rules | null) => void }) {
  return (
    <Box component="section" aria-label="House rules of this step">
      <Row
        name="Own house rules"
        on={rules !== null}
        onChange={(own) => onRules(own ? RULES : null)}
        hint={rules === null ? 'Those before it stay in force.' : undefined}
      />
      {rules &&
        ALL.map((right) => (
          <Row
            key={right}
            name={broughtWords(right)}
            on={rules[right] ?? RULES[right] ?? false}
            onChange={(allow) => onRules({ ...rules, [right]: allow })}
          />
        ))}
    </Box>
  );
}

interface RowProps {
  name: string;
  on: boolean;
  hint?: string;
  onChange: (on: boolean) => void;
}

function Row({ name, on, hint, onChange }: RowProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center' }}>
      <Box sx={{ flex: 1 }}>
        {name}
        {hint && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{hint}</Box>}
      </Box>
      <Switch checked={on} slotProps={{ input: { 'aria-label': name } }} onChange={(_, checked) => onChange(checked)} />
    </Box>
  );
}
