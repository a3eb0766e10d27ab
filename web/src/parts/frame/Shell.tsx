import Avatar from '@mui/material/Avatar';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { NavLink, useNavigate } from 'react-router';
import { remove } from '../../api/http';
import { useSession } from '../../api/session';
import { TOUCHED } from '../../theme/theme';
import { forgetBegun } from '../hooks/useKept';
import { Brand } from './Brand';
import { initials } from '../words/people';
import { Slats } from './Slats';

const PLACES = [
  ['Desk', '/'],
  ['Calendar', '/calendar'],
  ['Recordings', '/recordings'],
] as const;
const TEACHING = [
  ['Desk', '/'],
  ['Calendar', '/calendar'],
  ['Courses', '/courses'],
  ['Shelf', '/shelf'],
  ['Boards', '/boards'],
  ['Recordings', '/recordings'],
] as const;

/** The frame of the pages between classes: where one can go, and who one is. */
export function Shell({ children, action }: { children: ReactNode; action?: ReactNode }) {
  const { data } = useSession();
  const places = data?.person?.teaches ? TEACHING : PLACES;
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Box component="header" sx={{ flex: 'none' }}>
        <Box
          sx={{
            minHeight: 56,
            py: { xs: 0.75, md: 0 },
            px: { xs: 2, md: 3 },
            display: 'flex',
            flexWrap: { xs: 'wrap', md: 'nowrap' },
            alignItems: 'center',
            columnGap: 2.75,
            rowGap: 0.5,
          }}
        >
          <Brand />
          <Box
            sx={{ fontFamily: 'h2.fontFamily', fontSize: 19, fontWeight: 700, ml: -0.75, flex: { xs: 1, md: 'none' } }}
          >
            Veranda
          </Box>
          <Box
            component="nav"
            aria-label="Places"
            sx={{
              display: 'flex',
              justifyContent: { xs: 'space-between', sm: 'flex-start' },
              gap: { xs: 0.5, sm: 1.25, md: 2.75 },
              flex: { xs: '0 0 100%', md: 1 },
              order: { xs: 1, md: 0 },
            }}
          >
            {places.map(([name, to]) => (
              <Box
                key={to}
                component={NavLink}
                to={to}
                end={to === '/'}
                sx={{
                  fontWeight: 650,
                  fontSize: { xs: 15, sm: 16 },
                  color: 'text.secondary',
                  textDecoration: 'none',
                  py: 0.5,
                  [TOUCHED]: {
                    display: 'inline-flex',
                    alignItems: 'center',
                    justifyContent: 'center',
                    minHeight: 44,
                    minWidth: 44,
                  },
                  borderBottom: '2px solid transparent',
                  '&.active': { color: 'text.primary', borderColor: 'primary.main' },
                }}
              >
                {name}
              </Box>
            ))}
          </Box>
          {action}
          <Me />
        </Box>
        <Slats />
      </Box>
      {children}
    </Box>
  );
}

function Me() {
  const { data } = useSession();
  const queries = useQueryClient();
  const go = useNavigate();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (!data?.person) return null;
  const signOut = async () => {
    await remove('/api/session');
    queries.clear();
    forgetBegun();
    go('/sign-in');
  };
  return (
    <>
      <IconButton
        title={`${data.person.name}, sign out`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ p: 0.25 }}
      >
        <Avatar
          variant="rounded"
          sx={{ width: 36, height: 36, fontSize: 14, fontWeight: 700, bgcolor: 'veranda.wash', color: 'text.primary' }}
        >
          {initials(data.person.name)}
        </Avatar>
      </IconButton>
      <Menu anchorEl={anchor} open={!!anchor} onClose={() => setAnchor(null)}>
        <MenuItem disabled>{data.person.name}</MenuItem>
        <MenuItem component="a" href="/api/everything.zip" download onClick={() => setAnchor(null)}>
          Save all that you did
        </MenuItem>
        <MenuItem onClick={() => void signOut()}>Sign out</MenuItem>
      </Menu>
    </>
  );
}
