import type { AnimalView, LifeView, LittersView, LitterView, RearingView, TodayView } from '@yaylak/contract';
import { addDays, dayOf, isoOf } from '@yaylak/core';
import {
  arrival,
  departure,
  fact,
  get,
  strike,
  testApp,
  tag,
  TODAY,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

/** Two does with kits of 42 days, another with six litters that shrink; today is 23 November 2026. */
let t: TestApp;
const [doe, foster, falling, buck] = [uuid(), uuid(), uuid(), uuid()] as const;
const kits = Array.from({ length: 5 }, uuid);
const day = (ago: number): string => isoOf(addDays(dayOf(TODAY), -ago));
const kit = (id: string, damId: string, ago: number, more: object = {}) =>
  arrival(id, {
    species: 'rabbit',
    sex: 'unknown',
    on: day(ago),
    bornOn: day(ago),
    damId,
    birthType: 5,
    sireId: buck,
    ...more,
  });
const on = (type: Parameters<typeof fact>[0], id: string, ago: number, fields: object) =>
  fact(type, id, { on: day(ago), ...fields });

beforeAll(async () => {
  t = await testApp();
  const rabbit = (id: string, sex: string) =>
    arrival(id, { species: 'rabbit', sex, bornOn: '2025-01-01', on: '2025-06-01' });
  const shrinking = [9, 8, 7, 6, 5, 4].flatMap((size, i) =>
    Array.from({ length: size }, () => kit(uuid(), falling, 400 - i * 50, { birthType: size })),
  );
  const answers = await t.post(
    ...[doe, foster, falling].map((id) => rabbit(id, 'female')),
    rabbit(buck, 'male'),
    tag(doe, 'K-D01', 'white'),
    tag(foster, 'K-D02', 'white'),
    tag(falling, 'K-D03', 'white'),
    on('birth', doe, 42, { alive: 5, dead: 0, ease: 'alone' }),
    ...kits.map((id) => kit(id, doe, 42)),
    on('litter-weight', doe, 40, { totalKg: 0.4, count: 5 }),
    // One fostered on day 2, one dead on day 5: three are left, the heaviest two ready.
    on('fostering', kits[4] ?? '', 40, { damId: foster }),
    { ...departure(kits[3] ?? '', day(37), 'died'), cause: 'cold' },
    ...kits.slice(0, 3).flatMap((id, i) => [weight(id, day(7), 0.9 - i * 0.1), weight(id, TODAY, 1.2 - i * 0.12)]),
    weight(kits[4] ?? '', TODAY, 1),
    ...shrinking,
    on('feed', doe, 0, { since: day(7), feed: 'Plain pellet', kg: 2.4, priceMinor: 1690 }),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
});
afterAll(() => t.close());

const view = () => get<RearingView>(t, '/api/rearing?species=rabbit');
const litter = async (damId: string) => (await view()).litters.find((l) => l.dam?.animalId === damId) as LitterView;

it('shows a litter by whom it is reared, with its curve and what is to be done', async () => {
  const own = await litter(doe);
  expect(own).toMatchObject({ bornAlive: 5, lost: 1, ageDays: 42, daysWithout: 0, toWeigh: null });
  expect(own.young.map((y) => y.tag.animalId)).toEqual(kits.slice(0, 3));
  // Together on day 2 of five, then each on days 35 and 42: 2.40 to 3.24 kg of three in seven days.
  expect(own.days.map((d) => [d.ageDays, d.count])).toEqual([
    [2, 5],
    [35, 3],
    [42, 3],
  ]);
  expect(own.last?.kind === 'gain' && own.last.kgPerDay).toBeCloseTo((3.24 - 2.4) / 7, 9);
  expect(own.young.map((y) => y.weaning.waits)).toEqual([null, null, 'smaller']);
  expect(own.young[0]?.rearingType).toBe(3);
  const other = await litter(foster);
  expect(other.young).toMatchObject([{ bornOf: { text: 'K-D01' }, rearingType: 1, birthType: 5 }]);
});

it('tells losses with cause and age', async () => {
  const { losses, clusters } = await view();
  expect(losses).toMatchObject([{ ageDays: 5, cause: 'cold', dam: { text: 'K-D01' } }]);
  expect(clusters).toEqual([]);
});

it('asks on Today for the weaning, and no more once it is done', async () => {
  const due = async () => (await get<TodayView>(t, '/api/today')).due.filter((d) => d.at?.path.includes('do=wean'));
  const before = await due();
  expect(before.find((d) => d.at?.path.includes(doe))).toMatchObject({
    does: ['Wean'],
    who: { count: 2, words: ['kit', 'kits'], of: 'K-D01' },
    why: ['1 later'],
    animalIds: kits.slice(0, 2),
  });
  const weaned = kits.slice(0, 2).map((id) => fact('weaning', id, { isDone: true }));
  expect((await t.post(...weaned)).map((a) => a.status)).toEqual(['kept', 'kept']);
  expect((await litter(doe)).young.map((y) => y.tag.animalId)).toEqual([kits[2]]);
  // The third was small beside them, and waits its two days though they are gone.
  expect((await litter(doe)).young[0]?.weaning.waits).toBe('smaller');
  expect((await due()).find((d) => d.at?.path.includes(doe))).toBeUndefined();
  const [again] = await t.post(fact('weaning', kits[0] ?? '', { isDone: true }));
  expect(again).toMatchObject({ status: 'refused', message: expect.stringContaining('weaned already') as string });
  await t.post(...weaned.map((w) => strike(w.id)));
  expect((await litter(doe)).young).toHaveLength(3);
});

it('compares litters and sees one doe’s fall', async () => {
  const found = await get<LittersView>(t, '/api/rearing/litters?species=rabbit&value=born');
  expect(found.litters).toBe(7);
  const trend = found.trends.find((x) => x.tag.animalId === falling);
  expect(trend).toMatchObject({ kind: 'falling', sizes: [9, 8, 7, 6, 5, 4], litters: 6 });
  expect(trend?.suggestion).toContain('Retire her');
  expect(found.trends.find((x) => x.tag.animalId === doe)?.kind).toBe('too-few');
  expect(found.feeds).toEqual([{ feed: 'Plain pellet', priceMinor: 1690, litters: 1 }]);
  expect(found.trial).toBeNull();
  const bySire = await get<LittersView>(t, '/api/rearing/litters?species=rabbit&value=born&by=buck');
  expect(bySire.groups).toHaveLength(1);
  expect(bySire.groups[0]?.difference).toBeCloseTo(0, 9);
});

it('holds two feeds against each other', async () => {
  const dear = on('feed', foster, 0, { since: day(7), feed: 'Green pellet', kg: 1, priceMinor: 2150 });
  await t.post(dear);
  const unweighed = (await get<LittersView>(t, '/api/rearing/litters?species=rabbit')).trial;
  expect(unweighed).toEqual({ kind: 'not-weighed', feed: 'Green pellet', litters: 1 });
  await t.post(weight(kits[4] ?? '', day(7), 0.8));
  const { trial } = await get<LittersView>(t, '/api/rearing/litters?species=rabbit');
  if (trial?.kind !== 'found') throw new Error('two feeds were tried');
  // 2.4 kg for .84 kg gained at 16.90; 1 kg for .2 kg at 21.50: one litter each says nothing yet.
  expect(trial.cheaper.costMinorPerKg).toBeCloseTo((2.4 / 0.84) * 1690, 6);
  expect(trial.dearer.costMinorPerKg).toBeCloseTo((1 / 0.2) * 2150, 6);
  expect(trial).toMatchObject({ verdict: 'cannot-tell', halfWidthMinor: null });
});

it('gives a female’s record against the others', async () => {
  const life = await get<LifeView>(t, `/api/rearing/life/${doe}`);
  expect(life.litters).toMatchObject([{ alive: 5, fosteredAway: 1, lost: 1, withHer: 0, reared: 3 }]);
  expect(life.sums).toMatchObject({ litters: 1, born: 5 });
  expect(life.others.females).toBe(1);
  expect(life.others.bornALitter).toBeCloseTo(39 / 6, 9);
  await t.http().get(`/api/rearing/life/${uuid()}`).expect(404);
});

it('shows fostered young in the like-for-like with birth and rearing type', async () => {
  const { row } = await get<AnimalView>(t, `/api/animals/${kits[4]}`);
  expect(row).toMatchObject({ birthType: 5, rearingType: 1 });
});
