import Alert from '@mui/material/Alert';
import Snackbar from '@mui/material/Snackbar';
import { useState } from 'react';
import { useConnection } from '../../live/hooks';

/** Tells what went wrong with something one did, and when the connection is away. */
export function Notices() {
  const { trouble, status } = useConnection();
  const [dismissed, setDismissed] = useState(0);
  const shown = trouble !== null && trouble.count > dismissed;
  const dismiss = () => setDismissed(trouble?.count ?? 0);
  // A click elsewhere is no sign that one has read it.
  const passed = (_: unknown, reason: string) => reason !== 'clickaway' && dismiss();
  const away = status === 'reconnecting';
  return (
    <>
      <Snackbar
        open={shown && !away}
        autoHideDuration={6_000}
        onClose={passed}
        anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
        sx={{ mt: 7 }}
      >
        <Alert
          severity="warning"
          icon={false}
          onClose={dismiss}
          sx={{ border: 1, borderColor: 'veranda.ochre', bgcolor: 'veranda.ochreWash', color: 'text.primary' }}
        >
          {trouble?.says}
        </Alert>
      </Snackbar>
      <Snackbar open={away} anchorOrigin={{ vertical: 'top', horizontal: 'center' }} sx={{ mt: 7 }}>
        <Alert
          severity="error"
          icon={false}
          sx={{ border: 1, borderColor: 'error.main', bgcolor: 'veranda.brickWash', color: 'text.primary' }}
        >
          The connection is away and is being taken up again. What you draw and write is kept and sent then.
        </Alert>
      </Snackbar>
    </>
  );
}
