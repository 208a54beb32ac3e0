import { screen, waitFor, within } from '@testing-library/react';
import type { BirthSeen, BirthsView, DamView, ExpectedBirth } from '@yaylak/contract';
import { aRoster, aRosterAnimal, aTag, TODAY } from '../../tests/builders';
import { AWAY, renderPage } from '../../tests/renderPage';
import { BirthList } from './BirthList';
import { BirthsPage } from './BirthsPage';
import { choose, offered } from '../../tests/choose';

const EWE = aTag('22-0001', { animalId: 'e1', name: 'Clover' });
const OTHER = aTag('22-0002', { animalId: 'e2' });
/** Chosen in a form, which holds it to what an id is. */
const RAM_ID = '0191d5a0-0000-7000-8000-0000000000b1';
const RAM = aTag('R-1', { animalId: RAM_ID });
const window = { opens: '2026-11-20', bestFrom: '2026-11-23', bestTo: '2026-11-27', closes: '2026-11-30' };
const anExpected = (change: Partial<ExpectedBirth> = {}): ExpectedBirth => ({
  tag: EWE,
  species: 'sheep',
  groupName: 'Flock',
  probability: 0.999,
  young: 2,
  sires: [{ tag: RAM, probability: 1 }],
  otherSire: null,
  servedOn: '2026-06-29',
  birth: window,
  daysOver: 0,
  perDay: [0.3, 0.2, ...Array<number>(12).fill(0.02)],
  steps: [{ name: 'Into the lambing shed', window, isOpen: true }],
  isFirst: false,
  ...change,
});
const aBirthSeen = (change: Partial<BirthSeen> = {}): BirthSeen => ({
  entryId: 'b1',
  tag: OTHER,
  species: 'sheep',
  groupName: 'Flock',
  on: TODAY,
  at: `${TODAY}T06:00`,
  alive: 2,
  dead: 0,
  ease: 'eased',
  presentation: null,
  mothering: 'good',
  afterbirth: { state: 'waiting', heldSince: null },
  reason: null,
  sires: [],
  young: ['y1', 'y2'].map((id) => ({
    tag: aTag('no number', { animalId: id, kind: 'none' }),
    sex: 'female',
    birthKg: 4.1,
    colostrum: null,
    colostrumBy: '2026-11-24T02:00',
    rearedBy: null,
    diedOn: null,
  })),
  rears: 2,
  orphans: 0,
  goneOn: null,
  stage: { now: 'bonding', next: { stage: 'mixing', window, isOpen: true } },
  handling: { window, left: 2, isOpen: true },
  ...change,
});
const aView = (change: Partial<BirthsView> = {}): BirthsView => ({
  on: TODAY,
  species: null,
  expected: [anExpected()],
  tonight: [{ animalId: 'e1', chance: 0.5 }],
  recent: [aBirthSeen()],
  pens: [{ species: 'sheep', stage: 'bonding', taken: 4, pens: 4, toCome: 0.8 }],
  perDay: [0.3, 0.2, ...Array<number>(12).fill(0.02)],
  ...change,
});
const aDam = (change: Partial<DamView> = {}): DamView => ({
  tag: EWE,
  species: 'sheep',
  young: 2,
  sires: [{ tag: RAM, probability: 0.97 }],
  otherSire: null,
  groupId: 'g1',
  rears: 0,
  questions: [],
  ...change,
});
const page = (view = aView(), more: object = {}, at = '/births') =>
  renderPage(<BirthsPage />, { answers: { 'GET /api/births': view, ...more }, at });

it('answers who gives birth next, and what is to be done before', async () => {
  const { user, entries } = page();
  expect(await screen.findByRole('heading', { name: 'Who is due next?' })).toBeVisible();
  expect(screen.getByText(/^Look at 1 tonight: about 0.5 births by tomorrow evening/)).toBeVisible();
  const row = within(screen.getByRole('group', { name: 'Clover' }));
  expect(row.getByText(/^50 % by tomorrow night, in young over 99 %, 2 lambs, by R-1, Flock\./)).toBeVisible();
  expect(screen.getByText(/Too few for the births of the next three days/)).toBeVisible();
  await user.click(row.getByRole('button', { name: 'Mark done for Clover: Into the lambing shed' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'carrying-step', animalId: 'e1' }]));
});

it('a birth by big keys is written down with its young, and the next dam can be typed', async () => {
  const { user, entries } = page(aView(), { 'GET /api/births/dam/e1': aDam() });
  await user.click(await screen.findByRole('button', { name: 'Record the birth of Clover' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'A birth' }));
  const alive = within(await sheet.findByRole('group', { name: 'Born alive' }));
  await user.click(alive.getByRole('button', { name: '+ Female' }));
  await user.click(alive.getByRole('button', { name: '+ Male' }));
  const lamb = within(sheet.getByRole('group', { name: '1. ewe lamb' }));
  await user.type(lamb.getByLabelText('Weight, kg'), '4.2');
  await user.click(lamb.getByRole('checkbox', { name: 'has sucked' }));
  await user.click(sheet.getByRole('radio', { name: 'some help' }));
  await user.click(sheet.getByRole('radio', { name: 'passed' }));
  await user.click(sheet.getByRole('button', { name: 'Record birth' }));
  expect(await sheet.findByText('Clover: 2 lambs alive. The next dam, or close.')).toBeVisible();
  expect(entries().map((e) => e.type)).toEqual(['birth', 'arrival', 'move', 'weight', 'colostrum', 'arrival', 'move']);
  expect(entries()[0]).toMatchObject({ ease: 'eased', afterbirth: 'passed', alive: 2, dead: 0 });
  expect(entries()[1]).toMatchObject({ sireId: RAM_ID, birthType: 2 });
  expect(sheet.getByLabelText('Tag of the dam')).toHaveFocus();
});

it('asks about a weight no lamb is born with, and says what was likely meant', async () => {
  const { user, entries } = page(aView(), { 'GET /api/births/dam/e1': aDam() });
  await user.click(await screen.findByRole('button', { name: 'Record the birth of Clover' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'A birth' }));
  await user.click(
    within(await sheet.findByRole('group', { name: 'Born alive' })).getByRole('button', { name: '+ Female' }),
  );
  await user.type(within(sheet.getByRole('group', { name: '1. ewe lamb' })).getByLabelText('Weight, kg'), '42');
  await user.click(sheet.getByRole('radio', { name: 'passed' }));
  await user.click(sheet.getByRole('button', { name: 'Record birth' }));
  expect(await sheet.findByText(/Check the reading: 42.0\s?kg\. At birth .* Did you mean 4.2\s?kg\?/)).toBeVisible();
  expect(entries()).toEqual([]);
  await user.click(sheet.getByRole('button', { name: 'Record birth' }));
  await waitFor(() => expect(entries().find((e) => e.type === 'weight')).toMatchObject({ kg: 42 }));
});

it('asks in words about a birth that something speaks against', async () => {
  const empty = aDam({ questions: [{ code: 'tested-empty', on: '2026-08-20' }] });
  const { user, entries } = page(aView(), { 'GET /api/births/dam/e1': empty });
  await user.click(await screen.findByRole('button', { name: 'Record the birth of Clover' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'A birth' }));
  const alive = within(await sheet.findByRole('group', { name: 'Born alive' }));
  expect(sheet.queryByText(/She tested empty/)).toBeNull();
  await user.click(alive.getByRole('button', { name: '+ Not sexed' }));
  expect(await sheet.findByText('She tested empty on 20 Aug 2026. Is it she, or was the test wrong?')).toBeVisible();
  await user.type(sheet.getByLabelText(/^What happened/), 'the scan was wrong');
  await user.click(sheet.getByRole('button', { name: 'Record birth' }));
  await waitFor(() => expect(entries()[0]).toMatchObject({ type: 'birth', reason: 'the scan was wrong' }));
});

it('a birth in a shed without a network is kept on the device', async () => {
  const ewe = aRosterAnimal('22-0001', { tag: EWE, bornOn: '2022-04-01' });
  const { user, outbox } = page(aView(), {
    'GET /api/births/dam/e1': AWAY,
    'GET /api/roster': aRoster([ewe]),
    'POST /api/entries': AWAY,
  });
  await user.click(await screen.findByRole('button', { name: 'Record the birth of Clover' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'A birth' }));
  const alive = within(await sheet.findByRole('group', { name: 'Born alive' }));
  await user.click(alive.getByRole('button', { name: '+ Male' }));
  await user.click(sheet.getByRole('button', { name: 'Record birth' }));
  expect(await screen.findByText(/It is kept on this device until the server is back/)).toBeVisible();
  const kept = outbox.state().items.flatMap((i) => (i.out.kind === 'entry' ? [i.out.entry.type] : []));
  expect(kept).toEqual(['birth', 'arrival', 'move']);
  outbox.stop();
});

it('what is still to do of a birth is one press each', async () => {
  const { user, entries } = page();
  const row = within(await screen.findByRole('group', { name: 'Born of 22-0002' }));
  expect(row.getByText('Colostrum for 2 by 02:00 on 24 Nov.')).toBeVisible();
  await user.click(row.getByRole('button', { name: '22-0002 to the mixing pen' }));
  await user.click(row.getByRole('button', { name: 'Afterbirth of 22-0002 held back' }));
  await user.click(row.getByRole('button', { name: 'Young of 22-0002 had colostrum' }));
  await waitFor(() => expect(entries()).toHaveLength(4));
  expect(entries()).toMatchObject([
    { type: 'pen-stage', stage: 'mixing' },
    { type: 'afterbirth', state: 'retained' },
    // Due by tomorrow, as they were born in the evening, and pressed today.
    { type: 'colostrum', animalId: 'y1', on: TODAY, at: expect.stringContaining(`${TODAY}T`) as string },
    { type: 'colostrum', animalId: 'y2' },
  ]);
});

it('a young goes under another dam, or is written down as died of something', async () => {
  const other = aBirthSeen({ tag: EWE, entryId: 'b2', rears: 1, young: [] });
  const dead = aBirthSeen({ tag: aTag('22-0009'), entryId: 'b3', rears: 0, young: [], goneOn: '2026-11-20' });
  const { user, entries } = page(aView({ recent: [aBirthSeen(), other, dead], expected: [], tonight: [] }));
  const row = within(await screen.findByRole('group', { name: 'Born of 22-0002' }));
  await user.click(row.getByRole('button', { name: 'Foster young of 22-0002' }));
  const foster = within(await screen.findByRole('dialog', { name: 'Foster lambs of 22-0002' }));
  const dams = await offered(user, foster.getByLabelText('To whom'), 2);
  expect(dams).toContain('Clover: rears 1');
  expect(dams.join()).not.toContain('22-0009');
  await choose(user, await foster.findByLabelText('To whom'), 'Clover: rears 1');
  await user.type(foster.getByLabelText('Why'), 'no milk');
  await user.click(foster.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'fostering', animalId: 'y1', damId: 'e1', reason: 'no milk' }]),
  );
  await user.click(row.getByRole('button', { name: 'A young of 22-0002 died' }));
  const loss = within(await screen.findByRole('dialog', { name: 'Deaths in the litter of 22-0002' }));
  await choose(user, loss.getByLabelText('Of what'), 'cold');
  await user.click(loss.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()[1]).toMatchObject({ type: 'departure', how: 'died', cause: 'cold' }));
});

it('says what to do first where nobody is awaited', async () => {
  page(aView({ expected: [], tonight: [], recent: [], pens: [], perDay: [] }));
  expect(await screen.findByText('Nothing due')).toBeVisible();
  expect(screen.getByText('Nobody to look at tonight; none expected in fourteen days.')).toBeVisible();
});

it('the birth list says who is overdue', async () => {
  const row = {
    tag: EWE,
    species: 'sheep',
    groupName: 'Flock',
    probability: 0.999,
    young: 2,
    sires: ['R-1'],
    servedOn: '2026-06-20',
    birth: { opens: '2026-11-12', bestFrom: '2026-11-15', bestTo: '2026-11-20', closes: '2026-11-22' },
    isOverdue: true,
  };
  renderPage(<BirthList />, { answers: { 'GET /api/births/list': { on: TODAY, rows: [row] } } });
  const line = within(await screen.findByRole('row', { name: /22-0001/ }));
  expect(line.getByText('overdue,')).toBeVisible();
  expect(line.getByText('over 99 %')).toBeVisible();
});
