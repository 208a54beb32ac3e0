import { screen, waitFor, within } from '@testing-library/react';
import { aGroup, aHolding, aRoster, aRosterAnimal, aToday } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { StartPage } from './StartPage';
import { choose } from '../../tests/choose';

const show = async (at: string, answers: Answers = {}) => {
  const shown = renderPage(<StartPage />, {
    at,
    answers: {
      'GET /api/today': aToday(),
      'GET /api/roster': aRoster([]),
      'GET /api/identifiers': [],
      ...answers,
    },
  });
  await screen.findByRole('button', { name: /You and the holding/ });
  return shown;
};
const current = () =>
  screen.getAllByRole('button').find((b) => b.getAttribute('aria-current') === 'step')?.textContent ?? '';

describe('the first steps', () => {
  it('begin with who one is in a book nobody has named, save it and go on', async () => {
    const { user, asked } = await show('/start', {
      'GET /api/holding': aHolding({ name: 'My holding', keeper: 'Keeper' }),
      'PATCH /api/holding': aHolding({ version: 2, name: 'Yukarı' }),
    });
    expect(current()).toContain('You and the holding');
    await user.clear(screen.getByLabelText('Your name'));
    await user.type(screen.getByLabelText('Your name'), 'Aylin');
    await user.click(screen.getByRole('checkbox', { name: 'Rabbits' }));
    await user.click(screen.getByRole('button', { name: 'Save and go on' }));
    await waitFor(() => expect(current()).toContain('How your numbers look'));
    expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
      keeper: 'Aylin',
      keeps: ['sheep', 'goat', 'cattle'],
    });
  });

  it('go on where a book was left, and open at any step', async () => {
    const { user } = await show('/start', { 'GET /api/roster': aRoster([aRosterAnimal('26-0001', { weights: [] })]) });
    expect(current()).toContain('First weighing');
    await user.click(screen.getByRole('button', { name: /Who is here.*done/ }));
    expect(screen.getByLabelText('One animal a line')).toBeVisible();
  });

  it('take a pasted list as it is understood, with a group made on the way', async () => {
    const { user, asked, entries } = await show('/start?step=animals', {
      'POST /api/groups': aGroup('Top field', { id: 'g9' }),
    });
    await user.click(screen.getByLabelText('One animal a line'));
    await user.paste('24-0012, 12.3.2024, Nergis\nR1\tram');
    const table = screen.getByRole('table', { name: 'As they are understood' });
    expect(
      within(table)
        .getAllByRole('row')
        .map((r) => r.textContent),
    ).toEqual(['NumberNameSexBorn', expect.stringMatching(/^24-0012Nergisewe12 Mar 2024$/), 'R1ramnot known']);
    await choose(user, screen.getByLabelText('Group'), 'a new group …');
    await user.click(screen.getByRole('button', { name: 'Add 2 animals' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Give the new group a name');
    await user.type(screen.getByLabelText('Name of the group'), 'Top field');
    await user.click(screen.getByRole('button', { name: 'Add 2 animals' }));
    expect(await screen.findByText('Added 2 animals. The next ones, or go on.')).toBeVisible();
    expect(asked.find((a) => a.path === '/api/groups' && a.method === 'POST')?.body).toMatchObject({
      name: 'Top field',
      species: 'sheep',
    });
    expect(entries().map((e) => e.type)).toEqual([
      'arrival',
      'identifier',
      'identifier',
      'move',
      'arrival',
      'identifier',
      'move',
    ]);
    expect(entries()[0]).toMatchObject({ bornOn: '2024-03-12', sex: 'female', species: 'sheep' });
    expect(entries()[4]).toMatchObject({ sex: 'male' });
    expect(screen.getByLabelText('One animal a line')).toHaveValue('');
  });

  it('say which line cannot be taken, and keep what was typed', async () => {
    const { user, entries } = await show('/start?step=animals');
    await user.click(screen.getByLabelText('One animal a line'));
    await user.paste('101\n102, 40 kg');
    expect(screen.getByRole('alert')).toHaveTextContent('Line 2: “40 kg” is not a sex, a birth or a name.');
    await user.click(screen.getByRole('button', { name: 'Add 1 animal' }));
    expect(entries()).toEqual([]);
    expect(screen.getByLabelText('One animal a line')).toHaveValue('101\n102, 40 kg');
  });

  it('keep the list where no group can be made', async () => {
    const { user, entries } = await show('/start?step=animals', {
      'POST /api/groups': no(400, 'No.', 'That name is taken.'),
    });
    await user.click(screen.getByLabelText('One animal a line'));
    await user.paste('101');
    await choose(user, screen.getByLabelText('Group'), 'a new group …');
    await user.type(screen.getByLabelText('Name of the group'), 'Top field');
    await user.click(screen.getByRole('button', { name: 'Add 1 animal' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('That name is taken.');
    expect(entries()).toEqual([]);
    expect(screen.getByLabelText('One animal a line')).toHaveValue('101');
  });

  it('take weights from a notebook page, Enter going to the next, and then tell what follows from them', async () => {
    const ewes = ['101', '102', '103'].map((n) => aRosterAnimal(n, { weights: [], bornOn: '2022-03-01' }));
    const weighed = [60, 62, 70].map((kg, i) => ({ ...ewes[i]!, weights: [['2026-11-23', kg, 'scale'] as const] }));
    const rosters = [aRoster(ewes), aRoster(weighed)];
    let kept: () => readonly object[] = () => [];
    const { user, entries } = await show('/start', {
      'GET /api/roster': () => (kept().length > 0 ? rosters[1] : rosters[0]),
    });
    kept = entries;
    await user.type(await screen.findByLabelText('Weight of 101, kg'), '60{Enter}62{Enter}7O');
    await user.click(screen.getByRole('button', { name: 'Save 3 weights' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('103: “7O” is not a weight.');
    await user.clear(screen.getByLabelText('Weight of 103, kg'));
    await user.type(screen.getByLabelText('Weight of 103, kg'), '70');
    await user.click(screen.getByRole('button', { name: 'Save 3 weights' }));
    await waitFor(() => expect(current()).toContain('What the book knows now'));
    expect(entries().map((e) => e.type === 'weight' && e.kg)).toEqual([60, 62, 70]);
    expect(await screen.findByText(/^3 ewes weigh 64.0/)).toBeVisible();
    expect(screen.getByText(/lambing of 3 ewes would be from 14 Apr to 28 May 2027/)).toBeVisible();
  });
});
