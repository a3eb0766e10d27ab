import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Brand } from './Brand';
import { Slats } from './Slats';

interface Props {
  title: string;
  under: string;
  children?: ReactNode;
}

/** The band at the top: where one is, and what concerns all of it. */
export function Ribbon({ title, under, children }: Props) {
  return (
    <Box component="header" sx={{ flex: 'none' }}>
      <Box sx={{ height: 56, px: 1.75, display: 'flex', alignItems: 'center', gap: 1.75 }}>
        <Link to="/" aria-label="Desk" style={{ display: 'flex' }}>
          <Brand />
        </Link>
        <Box sx={{ minWidth: 0, flex: '0 1 auto' }}>
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
          <Box sx={{ fontSize: 13, color: 'text.secondary', whiteSpace: 'nowrap' }}>{under}</Box>
        </Box>
        {children}
      </Box>
      <Slats />
    </Box>
  );
}
