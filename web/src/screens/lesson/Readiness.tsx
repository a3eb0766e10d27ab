import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Finding } from '../../api/shapes';
import { Slats } from '../../parts/frame/Slats';
import { count } from '../../parts/words/times';

interface Props {
  findings: Finding[];
  onGo: (finding: Finding) => void;
}

/** What is missing or doubtful before class, each with the way to where it can be mended. */
export function Readiness({ findings, onGo }: Props) {
  return (
    <Box component="section" aria-label="Readiness" sx={{ flex: 'none' }}>
      <Slats />
      <Box
        tabIndex={0}
        role="group"
        aria-label="What is to mend"
        sx={{
          height: 56,
          px: 1.75,
          display: 'flex',
          alignItems: 'center',
          gap: 1.5,
          overflowX: 'auto',
          scrollbarWidth: 'none',
        }}
      >
        <Box component="strong" sx={{ whiteSpace: 'nowrap' }}>
          {findings.length === 0 ? 'Ready for class' : `${count(findings.length, 'thing')} to mend`}
        </Box>
        {findings.map((finding, i) => (
          <Button
            key={i}
            onClick={() => onGo(finding)}
            sx={{ flex: 'none', bgcolor: 'veranda.ochreWash', borderColor: 'veranda.ochre', fontWeight: 400 }}
          >
            {finding.says}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
