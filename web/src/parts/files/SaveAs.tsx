import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

interface Props {
  what: string;
  /** Address and name of each format. */
  formats: readonly (readonly [string, string])[];
  onSave: (address: string) => void;
}

/** Something that can be saved, with a button for each of its formats. */
export function SaveAs({ what, formats, onSave }: Props) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', columnGap: 1, mt: 0.5 }}>
      <Box sx={{ flex: '1 1 180px' }}>{what}</Box>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        {formats.map(([address, name]) => (
          <Button key={address} size="small" aria-label={`${what} as ${name}`} onClick={() => onSave(address)}>
            {name}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
