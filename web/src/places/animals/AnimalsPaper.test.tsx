import { screen, within } from '@testing-library/react';
import type { AnimalPage } from '@yaylak/contract';
import { aHolding, aRow } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { AnimalsPaper } from './AnimalsPaper';

const page = (from: number, count: number, nextCursor: string | null = null): AnimalPage => ({
  rows: Array.from({ length: count }, (_, i) => aRow(`26-${String(from + i).padStart(4, '0')}`)),
  total: 230,
  nextCursor,
});

it('has every animal the filters leave, page after page, with the columns chosen', async () => {
  localStorage.setItem('yaylak-animal-columns', 'number,group');
  const asked: string[] = [];
  renderPage(<AnimalsPaper />, {
    at: '/animals/list?species=sheep&sort=age',
    answers: {
      'GET /api/holding': aHolding(),
      'GET /api/animals': ({ query }: { readonly query: URLSearchParams }) => {
        asked.push(query.toString());
        return query.get('cursor') === 'b' ? page(201, 30) : page(1, 200, 'b');
      },
    },
  });
  expect(await screen.findByText('26-0230')).toBeInTheDocument();
  expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(231);
  expect(screen.getAllByRole('columnheader').map((c) => c.textContent)).toEqual(['Number', 'Group']);
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('230 animals, 23 Nov 2026');
  expect(screen.getByRole('link', { name: 'Back to Animals' })).toHaveAttribute(
    'href',
    '/animals?species=sheep&sort=age',
  );
  expect(asked.every((query) => query.includes('species=sheep') && query.includes('sort=age'))).toBe(true);
});
