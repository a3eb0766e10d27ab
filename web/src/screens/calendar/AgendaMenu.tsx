import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { MenuWord } from '../../parts/fields/MenuWord';
import { useSaving } from '../../parts/hooks/useSaving';
import { AgendaAddress } from './AgendaAddress';

/** One's lessons for other calendars: as a file, or by an address that they read themselves. */
export function AgendaMenu() {
  const [asking, setAsking] = useState(false);
  const { says, save } = useSaving();
  return (
    <>
      {says && (
        <Box role="status" sx={{ fontSize: 14, alignSelf: 'center' }}>
          {says}
        </Box>
      )}
      <MenuWord label="Agenda file" hint="Your lessons in other calendars">
        {(close) => [
          <MenuItem key="file" onClick={() => close(() => save('/api/agenda.ics'))}>
            Save your lessons as a file
          </MenuItem>,
          <MenuItem key="address" onClick={() => close(() => setAsking(true))}>
            An address that calendars read themselves
          </MenuItem>,
        ]}
      </MenuWord>
      {asking && <AgendaAddress onClose={() => setAsking(false)} />}
    </>
  );
}
