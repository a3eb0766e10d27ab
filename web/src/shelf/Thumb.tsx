import Box from '@mui/material/Box';
import type { Material } from '../api/shapes';
import { thumbnailAddress } from '../board/page/addresses';
import { Waveform } from './Waveform';

const WIDTH = 112;
const HEIGHT = 70;

/** What a material looks like: its first slide, a moment of the clip, or the shape of the sound. */
export function Thumb({ material }: { material: Material }) {
  const { id, version, kind, state, facts, first_slide, slide_count } = material;
  const picture =
    kind === 'clip' && facts.poster
      ? `/api/materials/${id}/${version}/poster`
      : state === 'ready' && slide_count
        ? thumbnailAddress(id, version, Math.min(first_slide, slide_count))
        : null;
  return (
    <Box
      sx={{
        width: WIDTH,
        height: HEIGHT,
        flex: 'none',
        display: 'grid',
        placeItems: 'center',
        overflow: 'hidden',
        bgcolor: 'background.default',
        border: 1,
        borderColor: 'divider',
        borderRadius: 0.75,
        fontSize: 13,
        color: 'text.secondary',
      }}
    >
      {picture ? (
        <img src={picture} alt="" style={{ width: '100%', height: '100%', objectFit: 'contain' }} loading="lazy" />
      ) : facts.waveform?.length ? (
        <Waveform values={facts.waveform} width={WIDTH - 12} height={HEIGHT - 20} />
      ) : (
        kind
      )}
    </Box>
  );
}
