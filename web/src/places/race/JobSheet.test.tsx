import { screen, waitFor, within } from '@testing-library/react';
import type { JobFacts } from '@yaylak/contract';
import { aJob, aRoster, aRosterAnimal, TODAY } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { AWAY, renderPage, type Answers, type Asked } from '../../tests/renderPage';
import { keepHand } from '../../shared/jobs/hand';
import { RacePage } from './RacePage';

const lambs = [aRosterAnimal('26-0001'), aRosterAnimal('26-0002'), aRosterAnimal('26-0012')];
const ids = lambs.map((a) => a.tag.animalId);
const number = () => screen.getByLabelText('Number of the next animal');
const weight = () => screen.findByLabelText(/^Weight, kg/);

/** A job at the race, begun on this device by whoever is there. */
const show = async (answers: Answers) => {
  keepHand('j1', { by: 'Aylin', saidOn: TODAY });
  const shown = renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      'GET /api/jobs/j1': { job: aJob({ animalIds: ids, expected: 3 }), entries: [] },
      'GET /api/roster': aRoster(lambs),
      ...answers,
    },
  });
  await screen.findByText('0 of 3');
  return shown;
};

describe('a job said anew', () => {
  const open = async (answers: Answers = {}) => {
    const shown = await show({ 'PUT /api/jobs/j1': {}, 'POST /api/jobs/j1/discard': {}, ...answers });
    return {
      ...shown,
      sheet: async () => {
        await shown.user.click(screen.getByRole('button', { name: 'change job' }));
        return within(await screen.findByRole('dialog', { name: 'Change this job' }));
      },
      said: () => shown.asked.findLast((a) => a.method === 'PUT')?.body as JobFacts,
    };
  };
  const record = async (user: Awaited<ReturnType<typeof show>>['user'], n: string) => {
    await user.type(number(), `${n}{Enter}`);
    await user.type(await weight(), '44.5{Enter}');
  };

  it('gets another name, another set of animals and a station more, and goes on with them at once', async () => {
    const { user, sheet, said } = await open();
    const form = await sheet();
    await user.clear(form.getByLabelText('Name of the job'));
    await user.type(form.getByLabelText('Name of the job'), 'Top paddock');
    await user.click(form.getByRole('button', { name: 'Take 26-0012 out' }));
    expect(form.getByText('26-0012 is not on the list any more.')).toBeVisible();
    await user.click(form.getByLabelText('Sort by gate'));
    await user.click(form.getByRole('button', { name: 'Save the job' }));
    expect(await screen.findByRole('heading', { name: 'Top paddock' })).toBeVisible();
    expect(screen.getByText('0 of 2')).toBeVisible();
    await waitFor(() => expect(said()).toBeDefined());
    expect(said()).toMatchObject({
      name: 'Top paddock',
      on: TODAY,
      stations: ['weigh', 'sort'],
      animalIds: ids.slice(0, 2),
    });
    expect(said().isForItsDay).toBeUndefined();
  });

  it('dates what was recorded with its other day too, each fact once, under the hand and the time it had', async () => {
    const { user, sheet, said, entries } = await open();
    await record(user, '0001');
    await waitFor(() => expect(entries()).toHaveLength(2));
    const form = await sheet();
    await typeDay(user, 'Day', '2026-11-22');
    expect(form.getByRole('checkbox', { name: /^Move the 1 animal already recorded to 22 Nov 2026/ })).toBeChecked();
    await user.click(form.getByRole('button', { name: 'Save the job' }));
    await waitFor(() => expect(said()).toMatchObject({ on: '2026-11-22', isForItsDay: true }));
    const [passage, weighed, ...anew] = entries();
    expect(anew).toMatchObject([
      { type: 'strike', entryId: weighed?.id, jobId: 'j1' },
      { type: 'strike', entryId: passage?.id, jobId: 'j1' },
      { type: 'passage', on: '2026-11-22', writtenAt: passage?.writtenAt, writtenBy: 'Aylin', jobId: 'j1' },
      { type: 'weight', on: '2026-11-22', kg: 44.5 },
    ]);
    expect(new Set(entries().map((e) => e.id)).size).toBe(6);
    expect(await screen.findByText('for 22 Nov 2026')).toBeVisible();
  });

  it('keeps its day when the book speaks against what was recorded on the other one', async () => {
    const { user, sheet, asked } = await open();
    await record(user, '0001');
    const form = await sheet();
    await typeDay(user, 'Day', '2026-11-24');
    await user.click(form.getByRole('button', { name: 'Save the job' }));
    expect(form.getByText('Enter today or an earlier day.')).toBeVisible();
    expect(asked.some((a) => a.method === 'PUT')).toBe(false);
  });

  it('is discarded on a second press that says how much is struck out, also without the server', async () => {
    const { user, sheet, asked, outbox } = await open({ 'POST /api/jobs/j1/discard': AWAY });
    await record(user, '0001');
    await screen.findByText('1 of 3');
    const form = await sheet();
    await user.click(form.getByRole('button', { name: 'Discard the job' }));
    expect(asked.some((a) => a.path.endsWith('/discard'))).toBe(false);
    await user.click(form.getByRole('button', { name: /^Strike out what was recorded of 1 animal\?/ }));
    expect(await screen.findByRole('heading', { name: 'This job was discarded' })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Open it again' }));
    expect(await screen.findByLabelText('Number of the next animal')).toBeVisible();
    expect(
      outbox
        .state()
        .items.map((i) => i.out.kind)
        .filter((kind) => kind !== 'entry'),
    ).toEqual(['discard', 'resume']);
  });

  it('is opened again when it was finished by mistake', async () => {
    let finishedAt: string | null = null;
    const { user } = await open({
      'GET /api/jobs/j1': () => ({ job: aJob({ animalIds: ids, expected: 3, finishedAt }), entries: [] }),
      'POST /api/jobs/j1/finish': (one: Asked) => {
        finishedAt = (one.body as { finishedAt: string }).finishedAt;
        return {};
      },
      'DELETE /api/jobs/j1/end': () => {
        finishedAt = null;
        return {};
      },
    });
    await user.click(screen.getByRole('button', { name: 'Finish' }));
    await user.click(screen.getByRole('button', { name: 'Finish the job' }));
    await user.click(await screen.findByRole('button', { name: 'Open it again' }));
    expect(await screen.findByLabelText('Number of the next animal')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Finish' }));
    await user.click(screen.getByRole('button', { name: 'Finish the job' }));
    await screen.findByRole('button', { name: 'Open it again' });
    await user.keyboard('{Control>}z{/Control}');
    expect(await screen.findByText('Taken back: finished the job “Ewe lambs”')).toBeVisible();
  });
});
