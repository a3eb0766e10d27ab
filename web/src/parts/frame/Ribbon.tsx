import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { TOUCHED } from '../../theme/theme';
import { Brand } from './Brand';
import { Slats } from './Slats';

interface Props {
  title: string;
  under: ReactNode;
  children?: ReactNode;
  /** The way out, which stays beside the title where the rest goes below it. */
  end?: ReactNode;
}

/** The band at the top: where one is, and what concerns all of it. */
export function Ribbon({ title, under, children, end }: Props) {
  return (
    <Box component="header" sx={{ flex: 'none' }}>
      <Box
        sx={{
          minHeight: 56,
          py: { xs: 0.75, md: 0 },
          px: 1.75,
          display: 'flex',
          flexWrap: { xs: 'wrap', md: 'nowrap' },
          alignItems: 'center',
          columnGap: 1.75,
          rowGap: 0.75,
        }}
      >
        <Box
          component={Link}
          to="/"
          aria-label="Desk"
          sx={{ display: 'flex', alignItems: 'center', [TOUCHED]: { minWidth: 44, minHeight: 44 } }}
        >
          <Brand />
        </Box>
        <Box sx={{ minWidth: 0, flex: { xs: end ? '1 1 0' : '100 1 180px', md: '0 1 auto' } }}>
          <Box
            component="h1"
            sx={{
              m: 0,
              fontFamily: 'h2.fontFamily',
              fontSize: 16,
              fontWeight: 700,
              lineHeight: 1.2,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {title}
          </Box>
          <Box
            sx={{
              fontSize: 13,
              color: 'text.secondary',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {under}
          </Box>
        </Box>
        {end && (
          <>
            <Box sx={{ order: { md: 1 }, display: 'flex', flex: 'none' }}>{end}</Box>
            <Box sx={{ display: { md: 'none' }, flexBasis: '100%' }} />
          </>
        )}
        {children}
      </Box>
      <Slats />
    </Box>
  );
}
