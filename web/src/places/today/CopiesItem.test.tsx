import { render, screen } from '@testing-library/react';
import type { CopiesTrouble } from '@yaylak/contract';
import { MemoryRouter } from 'react-router';
import { CopiesItem } from './CopiesItem';

const NONE: CopiesTrouble = { oldSince: null, second: null, following: null, failed: null };

it.each<[Partial<CopiesTrouble>, string]>([
  [{ oldSince: '2026-11-12T09:00' }, 'The last good copy is of 12 Nov 2026.'],
  [{ failed: 'disk is full' }, 'The last one could not be made: disk is full.'],
  [
    {
      second: { path: '/media/stick', state: 'missing', lastAt: null, said: null, isLocked: false, isUnderWay: false },
    },
    '/media/stick is not there. Plug it in: within the hour it gets the newest copy by itself. There is no copy on it yet.',
  ],
  [
    { following: { to: '/media/disk', said: 'no space left on device' } },
    'The book is not followed to /media/disk: no space left on device. Look whether it is there and has room; it is tried again with whatever is written next.',
  ],
])('says what is wrong with the copies, and leads to them', (trouble, says) => {
  render(
    <MemoryRouter>
      <CopiesItem trouble={{ ...NONE, ...trouble }} />
    </MemoryRouter>,
  );
  expect(screen.getByText(says)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Look at the copies' })).toHaveAttribute('href', '/holding/copies');
});
