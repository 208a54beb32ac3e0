import { screen, waitFor } from '@testing-library/react';
import { SPECIES_TABLE } from '@yaylak/core';
import { aHolding } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { Breeds } from './Breeds';
import { choose } from '../../tests/choose';

const hill = { name: 'Hill white', fatGroup: 'late' } as const;
const show = (refusal?: string) => {
  const onSave = jest.fn().mockResolvedValue(refusal);
  const holding = aHolding({
    species: { ...SPECIES_TABLE, sheep: { ...SPECIES_TABLE.sheep, breeds: [hill] } },
    overrides: { sheep: { breeds: [hill], overdueDays: 9 } },
  });
  const shown = renderPage(<Breeds holding={holding} onSave={onSave} />, {
    answers: { 'GET /api/strains': ['Hill white', 'Plain red'] },
  });
  return { ...shown, onSave };
};
const kept = (breeds: object[]) => ({ species: { sheep: { overdueDays: 9, breeds } } });

it('adds a breed, changes how early one lays on fat, and takes one out; all else stays', async () => {
  const { user, onSave } = show();
  await user.type(screen.getByLabelText('Breed or kind'), ' Plain red ');
  await choose(user, screen.getByLabelText('Lays on fat'), 'early');
  await user.click(screen.getByRole('button', { name: 'Add the breed' }));
  await waitFor(() => expect(screen.getByLabelText('Breed or kind')).toHaveValue(''));
  await choose(user, screen.getByLabelText('How early Hill white lays on fat'), 'middle');
  await user.click(screen.getByRole('button', { name: 'Take out the breed Hill white' }));
  expect(onSave.mock.calls).toEqual([
    [kept([hill, { name: 'Plain red', fatGroup: 'early' }])],
    [kept([{ ...hill, fatGroup: 'middle' }])],
    [kept([])],
  ]);
});

it('says what the book has against it, and keeps what was typed', async () => {
  const { user } = show('“Hill white” stands twice. Take one out.');
  await user.type(screen.getByLabelText('Breed or kind'), 'hill white{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('stands twice');
  expect(screen.getByLabelText('Breed or kind')).toHaveValue('hill white');
});
