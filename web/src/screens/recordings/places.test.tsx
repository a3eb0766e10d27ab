import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import type { RecordedPlace } from '../../api/shapes';
import { Places } from './Places';

const place = (page: string): RecordedPlace => ({
  ...{ at: 1_795_800_000_000, kind: 'board', words: 'Low tide at nine', board: 'b1' },
  page,
});

afterEach(() => vi.restoreAllMocks());

it('leads to each page that the same words stand on', () => {
  const wrong = vi.spyOn(console, 'error');
  render(
    <MemoryRouter>
      <Places recording="r1" places={[place('p1'), place('p2')]} sought="tide" />
    </MemoryRouter>,
  );
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
    '/recordings/r1?at=1795800000000&board=b1&page=p1',
    '/recordings/r1?at=1795800000000&board=b1&page=p2',
  ]);
  expect(wrong).not.toHaveBeenCalled();
});
