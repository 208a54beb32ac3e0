import { screen, waitFor, within } from '@testing-library/react';
import type { CreatePlan, PlanFacts, PlanView } from '@yaylak/contract';
import { SPECIES_TABLE } from '@yaylak/core';
import { aHolding, aPlanView } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { AWAY, no, renderPage, type Answers } from '../../tests/renderPage';
import { YearPage } from './YearPage';
import { choose } from '../../tests/choose';

/** A server that keeps plans on their versions. */
function server(first: readonly PlanView[]): { readonly answers: Answers; readonly plans: () => readonly PlanView[] } {
  let plans = [...first];
  const put = (id: string) => (asked: { body: unknown }) => {
    const { version, ...facts } = asked.body as PlanFacts & { version: number };
    const before = plans.find((p) => p.id === id);
    if (before?.version !== version) return no(409, 'This plan was changed meanwhile.');
    const now = { ...before, facts, version: version + 1 } as PlanView;
    plans = plans.map((p) => (p.id === id ? now : p));
    return now;
  };
  return {
    plans: () => plans,
    answers: {
      'GET /api/season': () => ({ on: '2026-11-23', plans, calendarKey: 'secret' }),
      'GET /api/roster': { animals: [] },
      'GET /api/remedies': { products: [] },
      ...Object.fromEntries(first.map((p) => [`PUT /api/season/plans/${p.id}`, put(p.id)])),
      ...Object.fromEntries(
        first.map((p) => [`DELETE /api/season/plans/${p.id}`, () => void (plans = plans.filter((x) => x.id !== p.id))]),
      ),
      'POST /api/season/plans': (asked: { body: unknown }) => {
        const { id, ...facts } = asked.body as CreatePlan;
        const made = aPlanView({ id, facts } as Partial<PlanView>);
        plans = [...plans, made];
        return made;
      },
    },
  };
}
const show = async (first: readonly PlanView[] = [aPlanView()], more: Answers = {}) => {
  const kept = server(first);
  const shown = renderPage(<YearPage />, { answers: { ...kept.answers, ...more } });
  await screen.findByRole('heading', { level: 1, name: 'Does the year fit?' });
  return { ...shown, ...kept };
};
const bar = (name: string) => screen.getByRole('slider', { name });
const says = (name: string) => bar(name).getAttribute('aria-valuetext');

it('lays the season out back from the births, and says that all fits', async () => {
  await show();
  expect(says('Rams in')).toBe('15 Oct to 17 Nov');
  expect(says('Scan and count')).toBe('1 Jan to 13 Jan');
  expect(says('Lambing')).toMatch(/^10 Mar to /);
  expect(screen.getByText('Nothing: waits, hands, pens and feed all hold.')).toBeVisible();
});

it('moves the males by the arrow keys with all that hangs on them, warns, and Ctrl+Z brings it back', async () => {
  const { user, plans } = await show();
  const weaning = says('Weaning');
  bar('Rams in').focus();
  await user.keyboard('{Shift>}{ArrowRight}{/Shift}{ArrowRight}{ArrowRight}{ArrowRight}');
  // Seen while it is moved, before it is let go.
  expect(says('Rams in')).toBe('25 Oct to 27 Nov');
  expect(says('Scan and count')).toBe('11 Jan to 23 Jan');
  expect(says('Weaning')).not.toBe(weaning);
  expect(screen.getByText(/First lambing on 20 Mar 2028, 10 days after the 10 Mar wanted/)).toBeVisible();
  expect(plans()[0]?.facts.matingOn).toBe('2027-10-15');
  await user.keyboard('{Enter}');
  expect(await screen.findByText(/Moved: rams in to 25 Oct; \d+ dates moved with it/)).toBeVisible();
  expect(plans()[0]?.facts).toMatchObject({ matingOn: '2027-10-25', wanted: { on: '2028-03-10' } });
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(plans()[0]?.facts.matingOn).toBe('2027-10-15'));
  await waitFor(() => expect(says('Rams in')).toBe('15 Oct to 17 Nov'));
});

it('leaves a bar where it was on Escape', async () => {
  const { user, plans } = await show();
  bar('Check the rams').focus();
  await user.keyboard('{PageUp}{Escape}');
  await waitFor(() => expect(says('Check the rams')).toBe('20 Aug to 3 Sept'));
  expect(plans()[0]?.version).toBe(1);
});

it('says what was changed meanwhile, and keeps what is on the server', async () => {
  const { user } = await show([aPlanView()], {
    'PUT /api/season/plans/p1': no(409, 'This plan was changed meanwhile.'),
  });
  bar('Rams in').focus();
  await user.keyboard('{ArrowRight}{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('This plan was changed meanwhile.');
  await waitFor(() => expect(says('Rams in')).toBe('15 Oct to 17 Nov'));
});

it('keeps a moved bar on the screen while the server is away, to be saved again', async () => {
  let isAway = true;
  const kept = server([aPlanView()]);
  const put = kept.answers['PUT /api/season/plans/p1'] as (asked: object) => unknown;
  const { user } = renderPage(<YearPage />, {
    answers: { ...kept.answers, 'PUT /api/season/plans/p1': (asked: object) => (isAway ? AWAY : put(asked)) },
  });
  (await screen.findByRole('slider', { name: 'Rams in' })).focus();
  await user.keyboard('{ArrowRight}{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('The server is away, so this is not saved.');
  expect(says('Rams in')).toBe('16 Oct to 18 Nov');
  isAway = false;
  await user.click(screen.getByRole('button', { name: 'Save again' }));
  await waitFor(() => expect(kept.plans()[0]?.facts.matingOn).toBe('2027-10-16'));
  expect(screen.queryByRole('alert')).toBeNull();
});

it('tells two species whose births fall together, and opens the plan that is pressed', async () => {
  const goats = aPlanView({ id: 'p2' }, { name: 'Kidding 2028', species: 'goat', matingOn: '2027-10-14' });
  const { user } = await show([aPlanView(), goats]);
  const clash = screen.getByText(/The busiest week is that of “Lambing 2028” too/).parentElement as HTMLElement;
  await user.click(within(clash).getByRole('button', { name: 'Kidding 2028' }));
  expect(await screen.findByRole('slider', { name: 'Bucks in' })).toBeVisible();
});

it('holds plans against hands, pens and days away', async () => {
  const resources = {
    workDaysPerWeek: 0.01,
    birthPens: [{ species: 'sheep' as const, pens: 0 }],
    away: [{ from: '2028-03-12', to: '2028-03-14', why: 'a wedding' }],
    lean: [{ from: '09-10', to: '09-20', why: 'burnt pasture' }],
  };
  await show([aPlanView()], { 'GET /api/holding': aHolding({ resources }) });
  expect(screen.getByText(/Lambing falls on days nobody is here: 12 Mar to 14 Mar, a wedding/)).toBeVisible();
  expect(screen.getByText(/Feed the ewes up needs feed while it is short/)).toBeVisible();
  expect(screen.getByText(/there are 0 pens/)).toBeVisible();
  expect(screen.getAllByText(/days of work, and there are 0.01/).length).toBeGreaterThan(0);
});

it('writes a step down as done, and the plan of the next year from this one', async () => {
  const { user, plans } = await show();
  await user.click(screen.getByRole('button', { name: 'Done: Check the rams' }));
  await waitFor(() => expect(plans()[0]?.facts.done).toEqual({ 'male-check': '2026-11-23' }));
  await user.click(screen.getByRole('button', { name: 'Plan the next year from it' }));
  await waitFor(() => expect(plans()).toHaveLength(2));
  expect(plans()[1]?.facts).toMatchObject({ name: 'Lambing 2029', wanted: { on: '2029-03-10' }, done: {} });
});

it('shows what happened beside what was planned', async () => {
  await show([aPlanView({ happened: { births: { from: '2028-03-13', to: '2028-03-30', head: 3 } } })]);
  const panel = screen.getByRole('heading', { name: 'Planned and happened' }).parentElement as HTMLElement;
  expect(panel).toHaveTextContent('Lambing: 13 Mar 2028 to 30 Mar, 3 head');
  expect(panel).toHaveTextContent('3 days after the best day planned');
});

describe('a new plan', () => {
  it('is made from the first birth that is wanted', async () => {
    const { user, plans } = await show([]);
    await user.click(screen.getAllByRole('button', { name: 'New plan' })[0] as HTMLElement);
    const sheet = await screen.findByRole('dialog', { name: 'New plan' });
    await user.clear(within(sheet).getByLabelText('Females'));
    await user.type(within(sheet).getByLabelText('Females'), '12');
    await typeDay(user, 'On', '2028-03-10');
    expect(within(sheet).getByText('15 Oct 2027')).toBeVisible();
    await user.click(within(sheet).getByRole('button', { name: 'Add a vaccine or remedy before birth' }));
    await user.click(within(sheet).getByRole('button', { name: 'Plan it' }));
    expect(within(sheet).getByRole('alert')).toHaveTextContent('each needs a name');
    await user.type(within(sheet).getByLabelText('Given before birth'), 'Own vaccine');
    await user.click(within(sheet).getByRole('button', { name: 'Plan it' }));
    await waitFor(() => expect(plans()).toHaveLength(1));
    expect(plans()[0]?.facts).toMatchObject({
      name: 'Lambing 2028',
      matingOn: '2027-10-15',
      females: 12,
      cycles: 2,
      doses: [{ name: 'Own vaccine', daysBeforeBirth: 28 }],
    });
  });

  it('flushes as the holding does with the species, unless another way is chosen', async () => {
    const sheep = { ...SPECIES_TABLE.sheep, season: { ...SPECIES_TABLE.sheep.season, flushingBefore: 21 } };
    const { user, plans } = await show([], {
      'GET /api/holding': aHolding({ species: { ...SPECIES_TABLE, sheep } }),
    });
    await user.click(screen.getAllByRole('button', { name: 'New plan' })[0] as HTMLElement);
    const sheet = await screen.findByRole('dialog', { name: 'New plan' });
    await user.clear(within(sheet).getByLabelText('Females'));
    await user.type(within(sheet).getByLabelText('Females'), '12');
    await typeDay(user, 'On', '2028-03-10');
    await user.click(within(sheet).getByRole('button', { name: 'Plan it' }));
    await waitFor(() => expect(plans()[0]?.facts).toMatchObject({ flushing: 'three-weeks' }));
  });

  it('of rabbits is a cycle by its school', async () => {
    const { user, plans } = await show([]);
    await user.click(screen.getAllByRole('button', { name: 'New plan' })[0] as HTMLElement);
    const sheet = await screen.findByRole('dialog', { name: 'New plan' });
    await choose(user, within(sheet).getByLabelText('Species'), 'rabbit');
    await choose(user, within(sheet).getByLabelText('Served again'), 'intensive');
    await typeDay(user, 'First mating', '2026-12-01');
    await user.clear(within(sheet).getByLabelText('Females'));
    await user.type(within(sheet).getByLabelText('Females'), '6');
    await user.type(within(sheet).getByLabelText('Name'), 'Litters');
    await user.click(within(sheet).getByRole('button', { name: 'Plan it' }));
    await waitFor(() =>
      expect(plans()[0]?.facts).toMatchObject({ kind: 'rolling', school: 'intensive', litters: 5, females: 6 }),
    );
    expect(await screen.findByRole('slider', { name: 'Nest boxes in (1)' })).toBeVisible();
  });

  it('that was changed keeps the males where they were moved, unless the wish is another', async () => {
    const moved = aPlanView({}, { matingOn: '2027-10-20' });
    const { user, plans } = await show([moved]);
    await user.click(screen.getByRole('button', { name: 'Change the plan' }));
    const sheet = await screen.findByRole('dialog', { name: 'Change Lambing 2028' });
    await choose(user, within(sheet).getByLabelText('Flushing'), 'none');
    await user.click(within(sheet).getByRole('button', { name: 'Keep the plan' }));
    await waitFor(() => expect(plans()[0]?.facts).toMatchObject({ flushing: 'none', matingOn: '2027-10-20' }));
  });

  it('can be taken out and brought back', async () => {
    const { user, plans } = await show();
    await user.click(screen.getByRole('button', { name: 'Change the plan' }));
    await user.click(await screen.findByRole('button', { name: 'Take it out' }));
    await waitFor(() => expect(plans()).toEqual([]));
    expect(await screen.findByText('Plan back from the births')).toBeVisible();
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(plans()).toHaveLength(1));
  });
});

describe('what plans are held against', () => {
  const patched = (asked: readonly { method: string; body: unknown }[]) =>
    asked.flatMap((a) => (a.method === 'PATCH' ? [a.body] : []));
  const withPatch = { 'PATCH /api/holding': () => aHolding({ version: 2 }) };

  it('is kept from its sheet, and asks for what is missing', async () => {
    const { user, asked } = await show([], withPatch);
    await user.click(screen.getByRole('button', { name: 'Labour, pens and feed' }));
    const sheet = await screen.findByRole('dialog', { name: 'Hands, pens and feed' });
    await user.type(within(sheet).getByLabelText(/Days of work/), '6,5');
    await user.type(within(sheet).getByLabelText('Lambing pens'), '8');
    const lean = within(sheet).getByRole('group', { name: 'Feed is short, each year' });
    await user.click(within(lean).getByRole('button', { name: 'Add' }));
    await user.type(within(lean).getByLabelText('From'), '07-20');
    await user.click(within(sheet).getByRole('button', { name: 'Keep' }));
    // To and why.
    expect((await within(lean).findAllByRole('alert')).map((a) => a.textContent)).toEqual([
      'Needed, or leave the stretch out.',
      'Needed, or leave the stretch out.',
    ]);
    await user.type(within(lean).getByLabelText('To'), '09-05');
    await user.type(within(lean).getByLabelText('Why'), 'burnt pasture');
    await user.click(within(sheet).getByRole('button', { name: 'Keep' }));
    await waitFor(() =>
      expect(patched(asked)).toMatchObject([
        {
          resources: {
            workDaysPerWeek: 6.5,
            birthPens: [{ species: 'sheep', pens: 8 }],
            away: [],
            lean: [{ from: '07-20', to: '09-05', why: 'burnt pasture' }],
          },
        },
      ]),
    );
  });

  it('the rhythm of a species is changed in its sheet', async () => {
    const { user, asked } = await show([], withPatch);
    await user.click(screen.getByRole('button', { name: 'Rhythms' }));
    const sheet = await screen.findByRole('dialog', { name: 'Rhythms of weighing and scoring' });
    await choose(user, within(sheet).getByLabelText('Species'), 'rabbit');
    await user.clear(within(sheet).getByLabelText('and every, days'));
    await user.type(within(sheet).getByLabelText('and every, days'), '60');
    await user.click(within(sheet).getByRole('button', { name: 'Add a weighing' }));
    const after = within(within(sheet).getByRole('group', { name: 'Weighing 3' }));
    await user.clear(after.getByLabelText('opens'));
    await user.type(after.getByLabelText('opens'), '−2');
    await choose(user, after.getByLabelText('Around'), 'weaning of her young');
    await user.click(within(sheet).getByRole('button', { name: 'Keep the rhythm of rabbits' }));
    const added = within(within(sheet).getByRole('group', { name: 'Weighing 5' }));
    expect((await added.findAllByRole('alert')).map((a) => a.textContent)).toEqual([
      'Give it a name.',
      ...Array.from({ length: 4 }, () => 'Whole days.'),
    ]);
    await user.click(added.getByText('Leave out'));
    await user.click(within(sheet).getByRole('button', { name: 'Keep the rhythm of rabbits' }));
    await waitFor(() =>
      expect(patched(asked)).toMatchObject([
        {
          species: {
            rabbit: {
              scoring: { fromDays: 150, everyDays: 60 },
              weighing: [
                { everyDays: 7 },
                { kind: 'around', event: 'mating', window: { opens: -7 } },
                { kind: 'around', event: 'weaning', window: { opens: -2, closes: 18 } },
                { everyDays: 30 },
              ],
            },
          },
        },
      ]),
    );
  });

  it('the calendar has its address, its own words and its alarm', async () => {
    const { user, asked } = await show([], withPatch);
    await user.click(screen.getByRole('button', { name: 'Calendar' }));
    const sheet = await screen.findByRole('dialog', { name: 'Calendar' });
    expect(within(sheet).getByLabelText('Address to subscribe to')).toHaveValue(
      'http://localhost/api/calendar.ics?key=secret',
    );
    await user.type(within(sheet).getByLabelText('Your own words under each date'), 'Ask Selin');
    await choose(user, within(sheet).getByLabelText('Rings'), '1');
    await user.click(within(sheet).getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(patched(asked)).toMatchObject([{ calendar: { ownText: 'Ask Selin', alarmDays: 1 } }]));
  });
});
