import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';

interface Props {
  /** What this is, as in "The exchange cannot be shown". */
  what: string;
  /** Another of these tries again. */
  of?: unknown;
  children: ReactNode;
}

/** A part of a page that may go wrong without taking the rest along. */
export function Fallible({ what, of, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={[of]}
      fallbackRender={(failed) => <Failed {...failed} what={what} />}
      onError={(error) => console.error(`${what} cannot be shown`, error)}
    >
      {children}
    </ErrorBoundary>
  );
}

/** A part of the program that is no longer there: Veranda was renewed while this page was open. */
const renewed = (error: unknown) =>
  error instanceof Error && /dynamically imported module|module script|preload/i.test(error.message);

function Failed({ error, resetErrorBoundary, what }: FallbackProps & { what: string }) {
  const old = renewed(error);
  return (
    <Box
      role="alert"
      sx={{ flex: 1, minHeight: 120, display: 'grid', placeContent: 'center', justifyItems: 'center', gap: 2, p: 2 }}
    >
      <Box sx={{ textAlign: 'center' }}>
        {old
          ? 'Veranda was renewed while this page was open. Load it again to go on; what is saved stays.'
          : `${what} cannot be shown. What you made is kept.`}
      </Box>
      <Button onClick={old ? () => location.reload() : resetErrorBoundary}>{old ? 'Load again' : 'Try again'}</Button>
    </Box>
  );
}
