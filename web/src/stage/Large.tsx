import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { firstName } from '../parts/words/people';
import { Moving } from './Moving';

interface Props {
  picture: MediaStream;
  name: string;
  onClose: () => void;
}

/** Somebody made large for oneself, over a corner of the paper. */
export function Large({ picture, name, onClose }: Props) {
  return (
    <Box
      component="aside"
      aria-label={`${name}, large`}
      sx={{
        ...{
          position: 'absolute',
          top: 8,
          right: 8,
          zIndex: 3,
          width: { xs: '44%', md: 'min(400px, 62%)' },
          aspectRatio: '4 / 3',
        },
        ...{ borderRadius: 1, border: 1, borderColor: 'divider', overflow: 'hidden', bgcolor: 'background.paper' },
      }}
    >
      <Moving picture={picture} name={name} />
      <Button
        size="small"
        onClick={onClose}
        sx={{ position: 'absolute', right: 8, bottom: 8, bgcolor: 'background.paper' }}
      >
        Put {firstName(name)} away
      </Button>
    </Box>
  );
}
