import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Material } from '../../api/shapes';
import { count, day } from '../../parts/words/times';
import { Thumb } from '../../shelf/Thumb';
import { sizeOf } from '../../parts/words/sizes';
import { stateOf } from '../../shelf/words';
import { MaterialDetails } from './MaterialDetails';

interface Props {
  material: Material;
  course: string;
  open: boolean;
  onOpen: () => void;
}

/** One material on the shelf; opens in place. */
export function MaterialRow({ material, course, open, onOpen }: Props) {
  const uses = material.uses ?? [];
  return (
    <Box
      component="li"
      id={material.id}
      sx={{
        py: 1.25,
        borderBottom: 1,
        borderColor: 'divider',
        // Rows out of sight are neither laid out nor painted.
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 92px',
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <Thumb material={material} />
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box sx={{ fontWeight: 700 }}>{material.title}</Box>
          <Box
            role="status"
            sx={{ fontSize: 14, color: material.state === 'failed' ? 'error.main' : 'text.secondary' }}
          >
            {stateOf(material)}
            {material.size > 0 && ` · ${sizeOf(material.size)}`} · brought {day(material.made_at, 'short')}
            {uses.length > 0 && ` · on ${count(uses.length, 'board')}`}
            {material.labels.length > 0 && ` · ${material.labels.join(', ')}`}
          </Box>
          {material.newer && (
            <Box role="status" sx={{ fontSize: 14 }}>
              {material.newer === 'failed'
                ? 'The newer version could not be opened; this one stays.'
                : 'A newer version is being made into slides.'}
            </Box>
          )}
          {material.findings.map((finding) => (
            <Box
              key={finding.code + finding.says}
              sx={{
                mt: 0.75,
                px: 1,
                py: 0.5,
                fontSize: 14,
                maxWidth: 720,
                bgcolor: 'veranda.ochreWash',
                borderRadius: 0.75,
              }}
            >
              {finding.says}
            </Box>
          ))}
        </Box>
        <Button aria-expanded={open} onClick={onOpen}>
          {open ? 'Close' : 'Open'}
        </Button>
      </Box>
      {open && <MaterialDetails material={material} course={course} />}
    </Box>
  );
}
