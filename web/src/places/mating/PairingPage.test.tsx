import { screen, waitFor, within } from '@testing-library/react';
import type { PairingView } from '@yaylak/contract';
import { aHolding } from '../../tests/builders';
import { choose } from '../../tests/choose';
import { renderPage, type Answers } from '../../tests/renderPage';
import { PairingPage } from './PairingPage';
import { createPlanner } from './planner';
import { makePlan, stopPlan } from './plannerClient';
import { aMating, aPairing, BUCK, DOE, OTHER, STRANGER_BUCK } from './testViews';

// @alone jsdom has no workers: the same planner runs on the page.
jest.mock('./plannerClient', () => ({ makePlan: jest.fn(), stopPlan: jest.fn() }));
const planning = jest.mocked(makePlan);

const show = async (change: Partial<PairingView> = {}, answers: Answers = {}) => {
  planning.mockImplementation((asked, onProgress) => createPlanner().plan(asked, onProgress));
  const shown = renderPage(<PairingPage />, {
    answers: {
      'GET /api/mating/pairing': aPairing(change),
      'GET /api/mating': aMating(),
      'POST /api/jobs': {},
      ...answers,
    },
    at: '/mating/pairing?species=goat',
  });
  await screen.findByRole('heading', { level: 1, name: 'Mating plan: which male for which female?' });
  return shown;
};
const cell = (female: string, male: string) =>
  screen.getByRole('button', { name: new RegExp(`^${female} with ${male}`) });
const plan = async (user: Awaited<ReturnType<typeof show>>['user']) => {
  await user.click(screen.getByRole('button', { name: 'Plan who goes to whom' }));
  await screen.findByRole('heading', { name: 'The groups' });
};

it('shows each pair with its figure, the forbidden with their reason, and who is together now', async () => {
  await show();
  expect(screen.getByText('2 does and 2 bucks: 1 of 4 pairs are not allowed.')).toBeVisible();
  expect(cell('G-017', 'G-01B')).toHaveAccessibleName(
    /^G-017 with G-01B: Juniper is her half-brother: their kids would be 13\s% inbred, together now$/,
  );
  expect(cell('G-017', 'G-02B')).toHaveAccessibleName(/^G-017 with G-02B: 0\s% inbred$/);
  expect(screen.getByRole('row', { name: /^Pairs not allowed/ })).toHaveTextContent('Pairs not allowed1');
});

it('plans within the noes, and holds the plan against what is now', async () => {
  const { user } = await show();
  await plan(user);
  expect(cell('G-017', 'G-02B')).toHaveAccessibleName(/, planned/);
  expect(cell('G-017', 'G-01B')).not.toHaveAccessibleName(/, planned/);
  const row = screen.getByRole('row', { name: /^Mean inbreeding/ });
  expect(
    within(row)
      .getAllByRole('cell')
      .map((c) => c.textContent),
  ).toEqual(['0\u00a0%', '13\u00a0%']);
});

it('keeps a locked pair against a no, and lets go of it again', async () => {
  const { user } = await show();
  await user.click(cell('G-017', 'G-01B'));
  expect(cell('G-017', 'G-01B')).toHaveAttribute('aria-pressed', 'true');
  await plan(user);
  expect(cell('G-017', 'G-01B')).toHaveAccessibleName(/, planned/);
  await user.click(cell('G-017', 'G-01B'));
  expect(cell('G-017', 'G-01B')).toHaveAttribute('aria-pressed', 'false');
  // What was set has changed: the plan no longer holds.
  expect(screen.queryByRole('heading', { name: 'The groups' })).toBeNull();
});

it('has no male for more females than there is room for, and says who may serve her', async () => {
  const { user } = await show();
  for (const male of ['G-01B', 'G-02B']) {
    const room = screen.getByLabelText(`Females for ${male} at the most`);
    await user.clear(room);
    await user.type(room, male === 'G-02B' ? '1' : '0');
  }
  await plan(user);
  expect(screen.getByRole('heading', { name: 'Without a male (1)' })).toBeVisible();
  expect(screen.getByText(/may serve her and ha(s|ve) no room left/)).toBeVisible();
});

it('says of a female no male may serve why not', async () => {
  const { user } = await show({
    refusals: [
      { code: 'relation', relation: 'half-sib' },
      { code: 'carriers', gene: 'wry jaw', affected: 0.25 },
      null,
      null,
    ],
  });
  await plan(user);
  expect(screen.getByText('no male may serve her: 1 too near kin, 1 may carry the same disorder')).toBeVisible();
});

it('leaves out a male that is not fit', async () => {
  const { user } = await show({
    males: aPairing().males.map((m) => (m.tag === STRANGER_BUCK ? { ...m, isReady: false } : m)),
  });
  await plan(user);
  expect(screen.getByText('no male may serve her: 1 too near kin, 1 not fit')).toBeVisible();
  expect(cell('G-021', 'G-01B')).toHaveAccessibleName(/, planned/);
});

it('leaves out those in young or held back, says who and why, and takes them in for later', async () => {
  const [first, second] = aPairing().females;
  if (!first || !second) throw new Error('two females');
  const { user } = await show({ females: [{ ...first, waits: ['served, likely in young (99\u00a0%)'] }, second] });
  expect(screen.getByText('1 doe and 2 bucks: 0 of 2 pairs are not allowed.')).toBeVisible();
  expect(screen.queryByRole('button', { name: /^G-017 with/ })).toBeNull();
  const left = within(screen.getByRole('heading', { name: 'Left out of the plan (1)' }).parentElement as HTMLElement);
  expect(left.getByRole('row', { name: /G-017.*served, likely in young/ })).toBeVisible();
  await plan(user);
  expect(cell('G-021', 'G-01B')).toHaveAccessibleName(/, planned/);
  await user.click(screen.getByText('with the 1 in young or held back, for later'));
  expect(screen.queryByRole('heading', { name: 'Left out of the plan (1)' })).toBeNull();
  await plan(user);
  expect(cell('G-017', 'G-02B')).toHaveAccessibleName(/, planned/);
});

it('keeps what is asked of the plan in its address', async () => {
  const { user, path } = await show();
  await choose(user, screen.getByRole('button', { name: /What counts most/ }), 'kinship alone');
  await user.click(screen.getByText('with the fewest males'));
  expect(path()).toBe('/mating/pairing?species=goat&kinship=1&fewest=1');
  planning.mockClear();
  await plan(user);
  expect(planning.mock.calls[0]?.[0]).toMatchObject({ kinshipWeight: 1, isFewest: true });
  await choose(user, screen.getByRole('button', { name: /What counts most/ }), 'kinship and merit alike');
  expect(path()).toBe('/mating/pairing?species=goat&fewest=1');
});

it('can be stopped, and changes nothing then', async () => {
  let stopped: (() => void) | undefined;
  const { user } = await show();
  planning.mockImplementation(
    (_, onProgress) =>
      new Promise((resolve) => {
        onProgress(0.4);
        stopped = () => resolve('stopped');
      }),
  );
  jest.mocked(stopPlan).mockImplementation(() => stopped?.());
  await user.click(screen.getByRole('button', { name: 'Plan who goes to whom' }));
  await user.click(await screen.findByRole('button', { name: 'Stop, at 40 %' }));
  expect(await screen.findByText('Stopped. Nothing was changed.')).toBeVisible();
});

it('says when the plan could not be made', async () => {
  const { user } = await show();
  planning.mockRejectedValue(new Error('the worker went away'));
  await user.click(screen.getByRole('button', { name: 'Plan who goes to whom' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The plan could not be made: the worker went away');
});

it('turns a group of the plan into a group and a job at the race', async () => {
  const { user, asked, path } = await show(
    {},
    { 'POST /api/groups': { id: 'g7', name: 'With Alder', species: 'goat', isClosed: false, version: 1, present: 0 } },
  );
  await plan(user);
  await user.click(screen.getAllByRole('button', { name: 'Sort out at the race' }).at(-1) as HTMLElement);
  await waitFor(() => expect(path()).toMatch(/^\/race\//));
  expect(asked.find((a) => a.path === '/api/groups' && a.method === 'POST')?.body).toMatchObject({
    name: 'With Alder',
    species: 'goat',
  });
});

it('writes the females moved and the male put in, where they are together already', async () => {
  const { user, entries, asked } = await show(
    {},
    {
      'GET /api/groups': [
        { id: 'g7', name: 'With Alder', species: 'goat', isClosed: false, version: 1, present: 0 },
        { id: 'g8', name: 'With Juniper', species: 'goat', isClosed: false, version: 1, present: 0 },
      ],
      'GET /api/holding': aHolding(),
    },
  );
  await plan(user);
  await waitFor(() => expect(asked.some((a) => a.path === '/api/groups')).toBe(true));
  await user.click(screen.getAllByRole('button', { name: 'They are together, he is in' }).at(-1) as HTMLElement);
  await waitFor(() => expect(entries().length).toBeGreaterThan(1));
  expect(entries().at(-1)).toMatchObject({ type: 'stay', animalId: STRANGER_BUCK.animalId, groupId: 'g7' });
  expect(entries()[0]).toMatchObject({ type: 'move', animalId: DOE.animalId, groupId: 'g7' });
  expect(asked.some((a) => a.path === '/api/groups' && a.method === 'POST')).toBe(false);
});

it('names tests that contradict the parentage, and genes whose figures are only close', async () => {
  await show({
    contradictions: [{ gene: 'cold skin', kind: 'parentage', tags: [BUCK, OTHER] }],
    approximate: ['wry jaw'],
  });
  expect(screen.getByRole('heading', { name: 'Tests of cold skin contradict the parentage' })).toBeVisible();
  expect(screen.getByText(/the chances of wry jaw are close and not exact/)).toBeVisible();
});

it('says who to bring in first where there is nobody to pair', async () => {
  await show({ males: [], females: [], inbreeding: [], refusals: [], present: [] });
  expect(screen.getByText(/There is no breeding male, or no female that may be mated/)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Plan who goes to whom' })).toBeDisabled();
});
