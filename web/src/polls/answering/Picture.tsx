import Box from '@mui/material/Box';
import type { Question } from '../../api/shapes';
import { slideAddress, thumbnailAddress } from '../../board/page/addresses';

interface Props {
  of: NonNullable<Question['picture']>;
  /** What it shows, for those who do not see it. */
  alt: string;
  small?: boolean;
}

/** The picture of a question or of an option, from the shelf. */
export function Picture({ of: { material, version, slide }, alt, small = false }: Props) {
  return (
    <Box
      component="img"
      src={(small ? thumbnailAddress : slideAddress)(material, version, slide)}
      alt={alt}
      sx={{
        display: 'block',
        flex: 'none',
        maxWidth: small ? 88 : 1,
        maxHeight: small ? 66 : 260,
        objectFit: 'contain',
        borderRadius: 0.75,
        bgcolor: 'veranda.paper',
      }}
    />
  );
}
