import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { useConnection } from '../live/hooks';
import { useStage } from './useStage';

// Looked at before the class, or when something is wrong.
const DeviceCheck = lazy(() => import('./check/DeviceCheck').then(({ DeviceCheck }) => ({ default: DeviceCheck })));

/** The way to find out whether one will be heard and seen. */
export function CheckDevices({ children }: { children: string }) {
  const stage = useStage();
  const { you } = useConnection();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>{children}</Button>
      {open && you && (
        <Suspense fallback={null}>
          <DeviceCheck
            name={you.name}
            onChosen={(device) => void stage?.change(device)}
            onClose={() => setOpen(false)}
          />
        </Suspense>
      )}
    </>
  );
}
