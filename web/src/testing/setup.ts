import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';
import { forgetBegun } from '../parts/hooks/useKept';

// Machines are shared and stand still for seconds at times; what comes in time is not waited for.
configure({ asyncUtilTimeout: 30_000 });

afterEach(() => {
  cleanup();
  forgetBegun();
});
