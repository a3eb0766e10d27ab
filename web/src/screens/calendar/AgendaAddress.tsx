import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMutation, useQuery } from '@tanstack/react-query';
import { get, post, remove } from '../../api/http';
import type { LinkRow } from '../../api/shapes';
import { clockTime, day } from '../../parts/words/times';

/** Addresses by which other calendars read one's lessons by themselves. Each is shown once, and can be taken back. */
export function AgendaAddress({ onClose }: { onClose: () => void }) {
  const known = useQuery({ queryKey: ['agenda'], queryFn: () => get<{ links: LinkRow[] }>('/api/agenda') });
  const look = () => void known.refetch();
  const make = useMutation({
    mutationFn: () => post<{ id: string; address: string }>('/api/agenda', {}),
    onSuccess: look,
  });
  const takeBack = useMutation({ mutationFn: (id: string) => remove(`/api/agenda/${id}`), onSuccess: look });
  const error = make.error ?? takeBack.error ?? known.error;
  const links = known.data?.links ?? [];
  const fresh = make.data && links.some(({ id }) => id === make.data.id) ? make.data : null;
  return (
    <Dialog open onClose={onClose} aria-labelledby="agenda-address">
      <DialogContent sx={{ width: 520, maxWidth: 1, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Box component="h2" id="agenda-address" sx={{ m: 0, typography: 'h2' }}>
          An address for other calendars
        </Box>
        <Box>
          Whoever has it reads when your lessons are and what they are called, and nothing else. Give it to your own
          calendar.
        </Box>
        {fresh && (
          <Box
            role="status"
            sx={{ p: 1.5, bgcolor: 'background.default', borderRadius: 1, overflowWrap: 'anywhere', fontSize: 14 }}
          >
            {fresh.address}
            <Box sx={{ color: 'text.secondary', mt: 0.5 }}>It is shown this once.</Box>
          </Box>
        )}
        {links.length > 0 && (
          <Box component="ul" aria-label="Addresses that are good" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {links.map(({ id, made_at }) => (
              <Box key={id} component="li" sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5 }}>
                <Box sx={{ flex: 1 }}>
                  made {day(made_at, 'short')}, {clockTime(made_at)}
                </Box>
                <Button disabled={takeBack.isPending} onClick={() => takeBack.mutate(id)}>
                  Take it back
                </Button>
              </Box>
            ))}
          </Box>
        )}
        {error && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {error.message}
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        {fresh ? (
          <Button
            variant="contained"
            color="primary"
            onClick={() => void navigator.clipboard?.writeText(fresh.address)}
          >
            Copy it
          </Button>
        ) : (
          <Button variant="contained" color="primary" disabled={make.isPending} onClick={() => make.mutate()}>
            Make an address
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
