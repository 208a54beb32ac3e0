import type { BirthsView, CarryingView, DamView, MatingView, TodayView } from '@yaylak/contract';
import { addDays, dayOf, isoOf } from '@yaylak/core';
import { Clock } from '../common/clock';
import { aGroup, arrival, fact, get, goatHerd, move, testApp, uuid, type TestApp } from '../tests/testApp';

/** What every page says of one doe, as her year goes on; today is 23 November 2026. */
let t: TestApp;
let herd: string;
const [buck, other, doe] = [uuid(), uuid(), uuid()];
beforeEach(async () => {
  t = await testApp();
  herd = await aGroup(t, 'Does');
  await t.post(...goatHerd(herd, [doe], [buck, other]));
});
afterEach(() => t.close());

const serve = (on: string, maleId = buck) => fact('service', doe, { on, way: 'hand', maleIds: [maleId] });
const scan = (on: string, more: object = {}) =>
  fact('pregnancy-test', doe, { on, way: 'scan', result: 'carrying', ...more });
const carrying = async () =>
  (await get<CarryingView>(t, '/api/carrying?species=goat')).females.find((f) => f.tag.animalId === doe);

it('served again after a loss she is on the way from the new service, everywhere', async () => {
  const answers = await t.post(
    serve('2026-08-10'),
    scan('2026-10-05', { young: 2, ageDays: 56 }),
    fact('loss', doe, { on: '2026-11-18', how: 'slipped' }),
    serve('2026-11-20', other),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
  expect(await carrying()).toMatchObject({
    state: 'too-soon',
    conceivedOn: '2026-11-20',
    young: null,
    tests: [],
    whatNow: null,
    chance: { servedOn: '2026-11-20', males: [{ animalId: other }] },
  });
  const mating = await get<MatingView>(t, '/api/mating?species=goat');
  const onMating = mating.females.find((f) => f.tag.animalId === doe);
  expect(onMating?.chance?.servedOn).toBe('2026-11-20');
  const births = await get<BirthsView>(t, '/api/births?species=goat');
  expect(births.expected.map((e) => e.tag.animalId)).toContain(doe);
});

const awaited = async () =>
  (await get<BirthsView>(t, '/api/births?species=goat')).expected.find((e) => e.tag.animalId === doe);
const onMating = async () =>
  (await get<MatingView>(t, '/api/mating?species=goat')).females.find((f) => f.tag.animalId === doe);
/** The same book on another day. */
const on = (iso: string): void => void (t.app.get(Clock).today = () => dayOf(iso));

it('served by two males two weeks apart she is awaited from both, with the same chances on every page', async () => {
  await t.post(serve('2026-09-20'), serve('2026-10-04', other));
  on('2026-10-12');
  const [onCarrying, onBirths, mated] = [await carrying(), await awaited(), await onMating()];
  expect(onBirths?.sires.map((s) => s.tag.animalId)).toEqual([other, buck]);
  expect(onBirths?.sires[0]?.probability).toBeGreaterThan(0.8);
  expect(mated?.chance?.males.map((m) => m.animalId)).toEqual([other, buck]);
  expect(onCarrying?.birth).toMatchObject({ opens: '2027-02-12', closes: '2027-03-08' });
  expect(onBirths?.birth).toEqual(onCarrying?.birth);
  expect(onBirths?.probability).toBe(onCarrying?.chance?.probability);
  expect(mated?.chance?.probability).toBe(onCarrying?.chance?.probability);

  // Half way between the two, gestation speaks for neither: the sheet of the birth says what the others say.
  const dam = (day: string) => get<DamView>(t, `/api/births/dam/${doe}?on=${day}`);
  const [likeliest] = (await dam('2027-02-24')).sires;
  expect(likeliest?.tag.animalId).toBe(other);
  expect(likeliest?.probability).toBeCloseTo(onBirths?.sires[0]?.probability ?? NaN, 12);
  // A hundred and fifty days after the first it is his.
  expect((await dam('2027-02-17')).sires[0]?.tag.animalId).toBe(buck);

  // A scan tells the age of the first: it is his everywhere, half way too.
  on('2026-11-23');
  await t.post(scan('2026-11-20', { ageDays: 61 }));
  expect((await carrying())?.fit?.sires[0]?.tag.animalId).toBe(buck);
  expect((await awaited())?.sires[0]).toEqual((await carrying())?.fit?.sires[0]);
  expect((await dam('2027-02-24')).sires[0]?.probability).toBeCloseTo(
    (await awaited())?.sires[0]?.probability ?? NaN,
    12,
  );
});

describe('scanned in young, and no birth is written down', () => {
  beforeEach(async () => {
    const answers = await t.post(serve('2026-04-20'), scan('2026-06-20', { young: 1, ageDays: 61 }));
    expect(answers.map((a) => a.status)).not.toContain('refused');
  });
  const lookAt = async () =>
    (await get<TodayView>(t, '/api/today')).lookAt.filter((l) => l.kind === 'unanswered').map((l) => l.tag.animalId);

  it('she is awaited by a chance, then by name, then asked about, and never free meanwhile', async () => {
    const chance = async (iso: string) => {
      on(iso);
      const [onBirths, onCarrying] = [await awaited(), await carrying()];
      expect(onBirths?.probability).toBe(onCarrying?.chance?.probability);
      expect((await onMating())?.isReady).toBe(false);
      return onBirths?.probability;
    };
    // Her window is 12 to 22 September; all her days are over on the 25th.
    const before = await chance('2026-09-08');
    expect(before).toBeGreaterThan(0.99);
    expect(await chance('2026-09-20')).toBeLessThan(before as number);
    // Two days past her window hardly any of her days are left: less likely, but neither doubtful, to be sold, nor free.
    expect(await chance('2026-09-24')).toBeLessThan(0.9);
    expect(await carrying()).toMatchObject({ state: 'over-time', whatNow: null });
    expect(await awaited()).toMatchObject({ daysOver: 2 });
    expect((await onMating())?.reasons.map((r) => r.code)).toContain('carrying');
    expect(await chance('2026-09-27')).toBeNull();
    expect((await carrying())?.state).toBe('over-time');
    const { births } = await get<TodayView>(t, '/api/today');
    expect(births.map((b) => b.tag.animalId)).toEqual([doe]);
    expect(await lookAt()).toEqual([]);

    on('2026-10-01');
    expect(await lookAt()).toEqual([doe]);
    expect(await awaited()).toBeUndefined();
    expect(await carrying()).toMatchObject({ state: 'unanswered', birth: { closes: '2026-09-22' } });
    expect((await onMating())?.isReady).toBe(false);
    expect((await onMating())?.reasons.map((r) => r.code)).toContain('unanswered');
  });

  it.each<[string, () => object]>([
    ['a birth', () => fact('birth', doe, { on: '2026-09-18', alive: 1, dead: 0, ease: 'alone' })],
    ['a loss', () => fact('loss', doe, { on: '2026-08-18', how: 'slipped' })],
    ['that she was empty', () => fact('pregnancy-test', doe, { on: '2026-10-05', way: 'sight', result: 'empty' })],
  ])('is not asked about any more once %s is told', async (_, told) => {
    on('2026-10-05');
    expect(await lookAt()).toEqual([doe]);
    const [answer] = await t.post(told());
    expect(answer?.status).toBe('kept');
    expect(await lookAt()).toEqual([]);
    on(isoOf(addDays(dayOf('2026-10-05'), 60)));
    expect((await onMating())?.reasons.map((r) => r.code)).not.toContain('unanswered');
  });
});

describe('ewes with a ram', () => {
  const [ram, ewe] = [uuid(), uuid()];
  let flock: string;
  beforeEach(async () => {
    flock = await aGroup(t, 'Ewes');
    await t.post(
      arrival(ram, { sex: 'male', bornOn: '2022-04-01', on: '2022-04-01' }),
      arrival(ewe, { bornOn: '2023-04-01', on: '2023-04-01' }),
      move(ewe, flock, '2024-04-01'),
    );
  });
  const put = (on: string, more: object = {}) =>
    t.post(fact('stay', ram, { on, groupId: flock, isTeaser: false, ...more }));
  const seen = async () => {
    const view = await get<CarryingView>(t, '/api/carrying?species=sheep');
    return { row: view.females.find((f) => f.tag.animalId === ewe), view };
  };
  const scanned = (more: object = {}) =>
    t.post(fact('pregnancy-test', ewe, { on: '2026-11-23', way: 'scan', result: 'carrying', ...more }));

  it('not marked after a cycle with a raddled ram she is not in young but on a list of her own, and can be scanned', async () => {
    await put('2026-10-01', { colour: 'blue' });
    const { row, view } = await seen();
    expect(row).toMatchObject({ state: 'not-marked', chance: null, isOverdue: false });
    expect(view.testing.find((p) => p.way === 'scan')?.ready.map((r) => r.animalId)).toEqual([ewe]);
    expect((await get<BirthsView>(t, '/api/births?species=sheep')).expected).toEqual([]);
    expect((await scanned())[0]?.status).toBe('kept');
  });

  it('22 days with a ram that does not mark, a scan is too soon in the book as it is on the page', async () => {
    await put('2026-11-01');
    const { row } = await seen();
    const told = row?.windows.find((w) => w.way === 'scan')?.tooSoon;
    expect(told).toBeTruthy();
    const [refused] = await scanned();
    expect(refused).toMatchObject({ status: 'refused', refusal: { code: 'test-too-soon', test: told } });
    expect((await scanned({ reason: 'the vet was here' }))[0]?.status).toBe('kept');
  });
});

it('one insemination by mistake turns no season: those in young stay in theirs', async () => {
  const herdmates = [uuid(), uuid(), uuid()];
  await t.post(...herdmates.map((id) => arrival(id, { species: 'goat', bornOn: '2023-04-01', on: '2023-04-01' })));
  await t.post(...herdmates.map((id) => move(id, herd, '2024-04-01')));
  const all = [doe, ...herdmates];
  await t.post(
    ...all.map((id, i) => fact('service', id, { on: `2026-09-0${i + 1}`, way: 'hand', maleIds: [buck] })),
    // Two months later one of the four is inseminated by mistake.
    fact('service', doe, {
      on: '2026-11-15',
      way: 'insemination',
      maleIds: [other],
      straw: 'X-1',
      reason: 'by mistake',
    }),
  );
  const page = await get<CarryingView>(t, '/api/carrying?species=goat');
  expect(page.season).toBe('2026-09-01');
  expect(page.curve).toMatchObject({ base: 4, notServed: 0 });
  expect(page.females.map((f) => f.state)).not.toContain('not-served');
});

it('one that has given birth is not called not served', async () => {
  const [mate, kid] = [uuid(), uuid()];
  await t.post(
    arrival(mate, { species: 'goat', bornOn: '2023-04-01', on: '2023-04-01' }),
    move(mate, herd, '2024-04-01'),
  );
  await t.post(
    serve('2026-06-20'),
    fact('service', mate, { on: '2026-07-05', way: 'hand', maleIds: [buck] }),
    arrival(kid, { species: 'goat', damId: doe, bornOn: '2026-11-17', on: '2026-11-17' }),
  );
  const { females, curve } = await get<CarryingView>(t, '/api/carrying?species=goat');
  expect(females.map((f) => f.tag.animalId)).toEqual([mate]);
  expect(females.filter((f) => f.state === 'not-served')).toHaveLength(curve?.notServed ?? -1);
});
