import type { PassportsRead } from '@yaylak/contract';
import { screen, waitFor } from '@testing-library/react';
import { renderPage, type Answers } from '../../tests/renderPage';
import { PassportIn } from './PassportIn';

const read = (change: Partial<PassportsRead> = {}): PassportsRead => ({
  from: 'Stony farm',
  madeOn: '2026-11-20',
  animals: [
    {
      id: 'a',
      number: 'G-25-20',
      species: 'goat',
      sex: 'female',
      bornOn: '2025-03-01',
      history: 5,
      status: 'new',
      message: null,
    },
    {
      id: 'b',
      number: 'G-25-21',
      species: 'goat',
      sex: 'male',
      bornOn: null,
      history: 1,
      status: 'refused',
      message: 'G-25-21 is already on another.',
    },
  ],
  keptIds: [],
  ...change,
});
const aFile = (text: string): File =>
  Object.assign(new File([text], 'passports.json'), { text: () => Promise.resolve(text) });
const show = (answers: Answers = {}) => {
  const shown = renderPage(<PassportIn />, {
    answers: {
      'POST /api/passports': ({ query }: { query: URLSearchParams }) =>
        read(query.get('mode') === 'keep' ? { keptIds: ['x', 'y'] } : {}),
      ...answers,
    },
  });
  const choose = (file: File): Promise<void> =>
    shown.user.upload(document.querySelector('input[type=file]') as HTMLInputElement, file);
  return { ...shown, choose };
};

it('shows what would come in and what cannot, and why, before anything is written', async () => {
  const { choose, user, asked } = show();
  await choose(aFile('{"format":"yaylak-passport"}'));
  expect(await screen.findByText(/From Stony farm, 20 Nov 2026. 1 of 2 can come in/)).toBeVisible();
  expect(screen.getByRole('row', { name: /G-25-20/ })).toHaveTextContent('comes in, 5 entries of history');
  expect(screen.getByRole('row', { name: /G-25-21/ })).toHaveTextContent('G-25-21 is already on another.');
  await user.click(screen.getByRole('button', { name: 'Take in 1 animal' }));
  expect(await screen.findByText(/1 taken in, as bought today/)).toBeVisible();
  const modes = asked.flatMap(({ path }) => /passports\?mode=(\w+)/.exec(path)?.[1] ?? []);
  expect(modes).toEqual(['check', 'keep']);
});

it('is taken back in one act, the last entry first', async () => {
  const { choose, user, entries } = show();
  await choose(aFile('{"format":"yaylak-passport"}'));
  await user.click(await screen.findByRole('button', { name: 'Take in 1 animal' }));
  await screen.findByText(/1 taken in/);
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'strike', entryId: 'y' }, { entryId: 'x' }]));
});

it.each(['number;weight', '{"format":"something"}', 'null'])(
  'says that a file of %j is not a passport file',
  async (text) => {
    const { choose } = show();
    await choose(aFile(text));
    expect(await screen.findByRole('alert')).toHaveTextContent('“passports.json” is not a passport file.');
  },
);
