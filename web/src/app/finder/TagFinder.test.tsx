import { screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { aGroup, anIdentifier, aTag } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { TagFinder } from './TagFinder';

function Lookup() {
  const [typed, setTyped] = useState<string>();
  return (
    <>
      <TagFinder typed={typed} onType={setTyped} />
      <button type="button" onClick={() => setTyped('')}>
        Find
      </button>
    </>
  );
}

describe('the finder', () => {
  const identifiers = [
    anIdentifier('26-0012'),
    anIdentifier('25-0012', { isPresent: false }),
    anIdentifier('Nergis', { kind: 'name', animalId: 'n' }),
  ];
  const page = (
    <>
      <Lookup />
      <input aria-label="field" />
      <div data-own-keys>
        <button type="button">own keys</button>
      </div>
    </>
  );
  const show = () => renderPage(page, { answers: { 'GET /api/identifiers': identifiers } });

  it('opens on a digit typed anywhere, finds by any part, and opens the animal', async () => {
    const { user, path } = show();
    await user.keyboard('0');
    const field = await screen.findByLabelText(/Any part of a number/);
    expect(field).toHaveValue('0');
    await user.keyboard('012');
    const found = await screen.findByRole('listbox', { name: 'Found' });
    await waitFor(() => expect(within(found).getAllByRole('option')).toHaveLength(2));
    expect(within(found).getAllByRole('option')[1]).toHaveTextContent('gone');
    await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
    await waitFor(() => expect(path()).toBe('/animals/id of 25-0012'));
  });
  it('takes the first on Enter, though one digit alone has opened it', async () => {
    const { user, path } = show();
    await user.keyboard('2');
    await screen.findAllByRole('option');
    await user.keyboard('{Enter}');
    await waitFor(() => expect(path()).toBe('/animals/id of 26-0012'));
  });
  it('opens on / for a name, and says when nobody ever wore it', async () => {
    const { user } = show();
    await user.keyboard('/');
    await user.type(await screen.findByLabelText(/Any part of a number/), 'nerg');
    expect(await screen.findByRole('option')).toHaveTextContent('Nergis');
    await user.keyboard('x');
    expect(await screen.findByText(/Nothing here is called “nergx”/)).toBeVisible();
  });
  it('finds by colour and kind as well, and calls each by its word in the yard', async () => {
    const { user } = renderPage(page, {
      answers: {
        'GET /api/identifiers': [
          anIdentifier('26-0017', { colour: 'red', bornOn: '2026-03-01' }),
          anIdentifier('24-0017', { animalId: 'old', bornOn: '2024-03-01' }),
        ],
        'GET /api/mentions': [],
      },
    });
    await user.keyboard('/');
    await user.type(await screen.findByLabelText(/Any part of a number/), 'red 17');
    expect(await screen.findByRole('option')).toHaveTextContent('26-0017ewe lamb, born 2026');
    await user.clear(screen.getByLabelText(/Any part of a number/));
    await user.type(screen.getByLabelText(/Any part of a number/), '26/17');
    expect(await screen.findByRole('option')).toHaveTextContent('26-0017');
  });
  it('finds tubes and what was noted, and opens the animal', async () => {
    const { user, path } = renderPage(page, {
      answers: {
        'GET /api/identifiers': identifiers,
        'GET /api/mentions': [{ tag: aTag('26-0012'), kind: 'tube', text: 'B-021', on: '2026-11-02' }],
      },
    });
    await user.keyboard('/');
    await user.type(await screen.findByLabelText(/Any part of a number/), 'b-021');
    await user.click(await screen.findByRole('option', { name: /tube B-021, 2 Nov/ }));
    await waitFor(() => expect(path()).toBe('/animals/id of 26-0012'));
  });
  it('leaves digits to a field, and to a place that has keys of its own', async () => {
    const { user } = show();
    await user.type(screen.getByLabelText('field'), '1');
    screen.getByRole('button', { name: 'own keys' }).focus();
    await user.keyboard('1');
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  it('opens by a button, and shows those opened last until something is typed', async () => {
    localStorage.setItem('yaylak-recent-animals', JSON.stringify(['n', 'struck out since']));
    const { user, path } = show();
    await user.click(screen.getByRole('button', { name: 'Find' }));
    const last = await screen.findByRole('group', { name: 'Opened last' });
    expect(within(last).getAllByRole('option')).toHaveLength(1);
    await user.keyboard('{ArrowDown}{Enter}');
    await waitFor(() => expect(path()).toBe('/animals/n'));
  });
  it('finds marks, groups and places too, each with how many or its keys', async () => {
    const { user, path } = renderPage(page, {
      answers: {
        'GET /api/identifiers': identifiers,
        'GET /api/mentions': [],
        'GET /api/groups': [aGroup('Race horses', { id: 'g1', present: 12 })],
        'GET /api/tags': {
          marks: [
            {
              colour: 'red',
              place: 'rump',
              purpose: 'race day',
              until: null,
              isUntilForAll: false,
              tags: [],
              groups: [
                { name: 'a', count: 2 },
                { name: 'b', count: 1 },
              ],
            },
          ],
        },
      },
    });
    await user.keyboard('/');
    await user.type(await screen.findByLabelText(/Any part of a number/), 'race');
    expect(await screen.findByRole('option', { name: 'red on the rump: race day, 3 animals' })).toBeVisible();
    expect(screen.getByRole('option', { name: 'Race horses, 12 animals' })).toBeVisible();
    expect(screen.getByRole('option', { name: 'At the race, Alt+2' })).toBeVisible();
    await user.click(screen.getByRole('option', { name: /Race horses/ }));
    await waitFor(() => expect(path()).toBe('/animals?groupId=g1'));
  });
  it('opens the record of her litters with Shift held, and tells a screen reader what is chosen', async () => {
    const { user, path } = show();
    await user.keyboard('/');
    const field = await screen.findByRole('textbox', { name: /Any part of a number/ });
    await user.type(field, 'nerg');
    const option = await screen.findByRole('option', { name: /Nergis/ });
    await user.keyboard('{ArrowDown}');
    await waitFor(() => expect(field).toHaveAttribute('aria-activedescendant', option.id));
    await user.keyboard('{Shift>}{Enter}{/Shift}');
    await waitFor(() => expect(path()).toBe('/rearing/life/n'));
  });
});
