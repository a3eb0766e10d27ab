import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { Shell } from '../parts/frame/Shell';

/** For addresses that lead nowhere. */
export default function NotFound() {
  return (
    <Shell>
      <Box component="main" sx={{ p: 4 }}>
        <Box component="h1" sx={{ typography: 'h1' }}>
          There is nothing at this address
        </Box>
        <Link to="/">Go to the desk</Link>
      </Box>
    </Shell>
  );
}
