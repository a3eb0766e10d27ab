import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Switch from '@mui/material/Switch';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, patch, post, remove } from '../../api/http';
import type { LinkRow, RecordingFacts } from '../../api/shapes';
import { clockTime, day } from '../../parts/words/times';

const DAYS = 30;

/** Who may watch: the course, and whoever has a link. Links work signed out and can be taken back. */
export function Share({ recording }: { recording: RecordingFacts }) {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const path = `/api/recordings/${recording.id}`;
  const links = useQuery({
    queryKey: ['recording-links', recording.id],
    queryFn: () => get<{ links: LinkRow[] }>(`${path}/links`),
    enabled: open,
  });
  const keep = (facts: { links: LinkRow[] }) => queries.setQueryData(['recording-links', recording.id], facts);

  const share = useMutation({
    mutationFn: (shared: boolean) => patch(path, { shared }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['recording', recording.id] }),
  });
  const make = useMutation({
    mutationFn: () => post<{ token: string }>(`${path}/links`, { days: DAYS }),
    onSuccess: () => links.refetch(),
  });
  const revoke = useMutation({
    mutationFn: (id: string) => remove<{ links: LinkRow[] }>(`${path}/links/${id}`),
    onSuccess: keep,
  });
  const address = make.data && `${location.origin}/enter/${make.data.token}`;

  return (
    <>
      <Button variant="contained" color="primary" onClick={() => setOpen(true)}>
        Share
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-label="Share the recording">
        <DialogContent sx={{ width: 540 }}>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Box sx={{ flex: 1 }}>
              <strong>With the course</strong>
              <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
                {recording.shared ? 'Everyone on the roster can watch.' : 'Only staff can watch.'}
              </Box>
            </Box>
            <Switch
              checked={recording.shared}
              slotProps={{ input: { 'aria-label': 'Share with the course' } }}
              onChange={(_, shared) => share.mutate(shared)}
            />
          </Box>
          <Box sx={{ mt: 2, pt: 2, borderTop: 1, borderColor: 'divider' }}>
            <strong>By link</strong>
            <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
              Works without signing in, for {DAYS} days, until you take it back.
            </Box>
            {address && (
              <Box
                data-testid="share-link"
                sx={{
                  mt: 1,
                  p: 1.25,
                  fontSize: 14,
                  overflowWrap: 'anywhere',
                  bgcolor: 'background.default',
                  borderRadius: 1,
                }}
              >
                {address}
              </Box>
            )}
            <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
              <Button onClick={() => make.mutate()}>Make a link</Button>
              {address && <Button onClick={() => void navigator.clipboard?.writeText(address)}>Copy it</Button>}
            </Box>
            {links.data?.links.map((link) => (
              <Box key={link.id} sx={{ display: 'flex', alignItems: 'center', fontSize: 14, mt: 1 }}>
                <Box sx={{ flex: 1 }}>
                  Link made {day(link.made_at, 'short')}, {clockTime(link.made_at)}
                </Box>
                <Button color="error" size="small" onClick={() => revoke.mutate(link.id)}>
                  Take it back
                </Button>
              </Box>
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
