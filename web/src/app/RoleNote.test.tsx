import { screen, waitFor } from '@testing-library/react';
import type { Role } from '@yaylak/contract';
import { aHolding } from '../tests/builders';
import { renderPage } from '../tests/renderPage';
import { RoleNote } from './RoleNote';

const NOT_TAKEN = /what you change here is not taken/;
const show = async (at: string, role: Role | null): Promise<void> => {
  const writer = role === null ? null : { name: 'Hatice', role };
  const { asked } = renderPage(<RoleNote />, { at, answers: { 'GET /api/holding': aHolding({ writer }) } });
  await waitFor(() => expect(asked).not.toEqual([]));
  await new Promise((resolve) => setTimeout(resolve));
};

it.each<[at: string, role: Role]>([
  ['/selling/outlets', 'helper'],
  ['/choosing', 'helper'],
  ['/holding/figures', 'helper'],
  ['/holding/copies', 'keeper'],
])('says at %s that it is not for a %s', async (at, role) => {
  await show(at, role);
  expect(await screen.findByText(NOT_TAKEN)).toBeVisible();
});

it.each<[at: string, role: Role | null]>([
  ['/selling', null],
  ['/selling', 'keeper'],
  ['/births', 'helper'],
  ['/holding/people', 'helper'],
  ['/holding/copies', 'owner'],
])('says nothing at %s to %p', async (at, role) => {
  await show(at, role);
  expect(screen.queryByText(NOT_TAKEN)).toBeNull();
});

it('tells a viewer everywhere', async () => {
  await show('/births', 'viewer');
  expect(await screen.findByText('You are a viewer: you can look at the animals, and write nothing.')).toBeVisible();
});
