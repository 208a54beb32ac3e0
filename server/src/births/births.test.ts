import type {
  AnimalView,
  BirthSeen,
  BirthsView,
  CarryingView,
  DamView,
  EntryAnswer,
  MatingView,
  TodayView,
} from '@yaylak/contract';
import { aGroup, arrival, fact, get, goatHerd, testApp, uuid, weight, type TestApp } from '../tests/testApp';

/** Six does and two bucks; today is 23 November 2026, day 150 of a service of 26 June. */
let t: TestApp;
const [buck, other, due, empty, early, over, fresh, foster] = Array.from({ length: 8 }, uuid) as [
  string,
  string,
  string,
  string,
  string,
  string,
  string,
  string,
];
const does = [due, empty, early, over, fresh, foster];
const serve = (animalId: string, on: string, maleId = buck) =>
  fact('service', animalId, { on, way: 'hand', maleIds: [maleId] });
const birth = (animalId: string, more: object = {}) =>
  fact('birth', animalId, { alive: 1, dead: 0, ease: 'alone', ...more });
const kid = (id: string, damId: string, on: string, more: object = {}) =>
  arrival(id, { species: 'goat', on, bornOn: on, damId, birthType: 2, ...more });

beforeAll(async () => {
  t = await testApp();
  const herd = await aGroup(t, 'Does');
  const answers = await t.post(
    ...goatHerd(herd, does, [buck, other]),
    serve(due, '2026-06-26'),
    fact('pregnancy-test', due, { on: '2026-08-20', way: 'scan', result: 'carrying', young: 2 }),
    serve(empty, '2026-06-24'),
    fact('pregnancy-test', empty, { on: '2026-08-20', way: 'scan', result: 'empty' }),
    serve(early, '2026-08-20'),
    serve(over, '2026-06-15'), // day 161
    serve(fresh, '2026-06-20'),
    serve(fresh, '2026-06-27', other),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
});
afterAll(() => t.close());

const view = () => get<BirthsView>(t, '/api/births?species=goat');
const refusedOf = ([answer]: EntryAnswer[]) =>
  answer?.status === 'refused' ? [answer.refusal?.code, answer.message] : answer?.status;
const seen = async (id: string) => (await view()).recent.find((b) => b.tag.animalId === id) as BirthSeen;

it('awaits who carries, the overdue first, with tonight’s watch', async () => {
  const { expected, tonight, perDay } = await view();
  const row = expected.find((e) => e.tag.animalId === due);
  expect(row).toMatchObject({ young: 2, daysOver: 0, birth: { opens: '2026-11-18', closes: '2026-11-28' } });
  expect(row?.sires).toMatchObject([{ tag: { text: 'Juniper' }, probability: 1 }]);
  // All her days that are left lie in the fortnight: together they are the chance that she carries.
  expect(row?.perDay.reduce((s, n) => s + n, 0)).toBeCloseTo(row?.probability ?? NaN, 6);
  expect(expected[0]).toMatchObject({ tag: { animalId: over }, daysOver: 6, probability: null });
  expect(tonight[0]?.animalId).toBe(over);
  expect(tonight.map((n) => n.animalId)).toContain(due);
  expect(tonight.map((n) => n.animalId)).not.toContain(early);
  expect(perDay).toHaveLength(14);
});

it.each([
  [empty, {}, 'birth-questioned', 'She tested empty on 20 Aug 2026. Is it she, or was the test wrong?'],
  [early, {}, 'birth-questioned', 'Day 95 after the service of 20 Aug 2026; from day 145 on is usual.'],
  [due, { alive: 3 }, 'birth-questioned', '3 born, and 2 counted on 20 Aug 2026. Are they all hers?'],
  [due, { alive: 1, dead: 1 }, 'birth-questioned', '1 born dead: what was it?'],
  [due, { species: 'sheep' }, 'birth-questioned', 'This is the list of sheep, and she is one of the goats.'],
  [due, { alive: 0 }, 'nobody-born', 'Nobody was born. Count at least one'],
  [buck, {}, 'gives-no-birth', 'Only a female gives birth'],
  [due, { at: '2026-11-22T23:50' }, 'time-of-other-day', '23:50 on 22 Nov 2026 is not on 23 Nov 2026.'],
])('asks about a birth that something speaks against', async (id, more, code, words) => {
  const [found, message] = refusedOf(await t.post(birth(id, more))) as [string, string];
  expect(found).toBe(code);
  expect(message).toContain(words);
});

it('believes it with a reason, and what hung on it follows', async () => {
  const given = birth(early, {
    reason: 'slipped on the ice',
    dead: 1,
    alive: 0,
    deadYoung: [{ sex: 'female', kg: 0.4 }],
  });
  expect(refusedOf(await t.post(given))).toBe('kept');
  expect((await view()).expected.map((e) => e.tag.animalId)).not.toContain(early);
  expect(await seen(early)).toMatchObject({ alive: 0, dead: 1, reason: 'slipped on the ice', young: [], rears: 0 });
  const carrying = await get<CarryingView>(t, '/api/carrying?species=goat');
  expect(carrying.females.find((f) => f.tag.animalId === early)).toBeUndefined();
  // Her next birth within the month is asked about, with the days between.
  expect(refusedOf(await t.post(birth(early)))).toMatchObject(['birth-known', expect.any(String)]);
});

it('a birth of one told empty, with a reason, makes the test false and starts her rest', async () => {
  const carrying = async () =>
    (await get<CarryingView>(t, '/api/carrying?species=goat')).females.find((f) => f.tag.animalId === empty)?.state;
  const reasons = async () => {
    const { females } = await get<MatingView>(t, '/api/mating?species=goat');
    return females.find((f) => f.tag.animalId === empty)?.reasons.map((r) => r.words) ?? [];
  };
  expect(await carrying()).toBe('doubtful'); // no return for months, and a scan that says empty
  expect(await reasons()).not.toContain('resting since giving birth on 23 Nov 2026');
  expect(refusedOf(await t.post(birth(empty, { reason: 'the scan was wrong' })))).toBe('kept');
  expect(await carrying()).toBeUndefined();
  expect(await reasons()).toContain('resting since giving birth on 23 Nov 2026');
  expect(await seen(empty)).toMatchObject({ alive: 1, reason: 'the scan was wrong' });
});

const [first, second] = [uuid(), uuid()];
it('keeps twins with weights and first milk, and says by whom they are', async () => {
  const answers = await t.post(
    birth(due, { alive: 2, at: '2026-11-23T06:10', mothering: 'good', afterbirth: 'passed', ease: 'eased' }),
    kid(first, due, '2026-11-23'),
    kid(second, due, '2026-11-23', { sex: 'male' }),
    weight(first, '2026-11-23', 3.2),
    fact('colostrum', first, { at: '2026-11-23T06:40', how: 'sucked' }),
  );
  expect(answers.map((a) => a.status)).toEqual(Array(5).fill('kept'));
  const found = await seen(due);
  expect(found).toMatchObject({
    at: '2026-11-23T06:10',
    ease: 'eased',
    afterbirth: { state: 'passed', heldSince: null },
    sires: [{ tag: { text: 'Juniper' }, probability: 1 }],
    rears: 2,
    stage: { now: 'bonding', next: { stage: 'mixing', window: { opens: '2026-11-25' } } },
    handling: { left: 2, window: { bestFrom: '2026-11-25' } },
  });
  expect(found.young).toMatchObject([
    { birthKg: 3.2, colostrum: { at: '2026-11-23T06:40' }, colostrumBy: null },
    { colostrum: null, colostrumBy: '2026-11-23T12:10' },
  ]);
});

it('gives a birth between two services to both bucks, the likelier first', async () => {
  // Day 156 of Juniper's and 149 of Alder's: exp(-36/12.5) and exp(-1/12.5), so .0573 and .9427 by the days alone.
  // That she came to Alder a week later speaks against Juniper as well.
  expect(refusedOf(await t.post(birth(fresh)))).toBe('kept');
  const { sires } = await seen(fresh);
  expect(sires.map((s) => s.tag.text)).toEqual(['Alder', 'Juniper']);
  expect(sires[0]?.probability).toBeGreaterThan(0.9427);
  expect(sires[0]?.probability).toBeLessThan(0.999);
});

it('a young fostered away changes both litters and the rearing type', async () => {
  const moved = fact('fostering', second, { damId: foster, reason: 'she has milk' });
  expect(refusedOf(await t.post(moved))).toBe('kept');
  expect(await seen(due)).toMatchObject({ rears: 1, young: [{}, { rearedBy: { text: 'G-06' } }] });
  expect(await get<DamView>(t, `/api/births/dam/${foster}`)).toMatchObject({ rears: 1 });
  const { row } = await get<AnimalView>(t, `/api/animals/${first}`);
  expect(row).toMatchObject({ birthType: 2, rearingType: 1 });
  await t.post({ ...fact('strike', first, {}), type: 'strike', entryId: moved.id, animalId: undefined });
  expect((await get<AnimalView>(t, `/api/animals/${first}`)).row.rearingType).toBe(2);
});

it('an afterbirth held back keeps her from mating until the womb is clear', async () => {
  const hold = async () => {
    const { females } = await get<MatingView>(t, '/api/mating?species=goat');
    return females.find((f) => f.tag.animalId === fresh)?.reasons.map((r) => r.words) ?? [];
  };
  expect(await hold()).not.toContain('womb infection: check again, then wait for the next heat');
  await t.post(fact('afterbirth', fresh, { state: 'retained' }));
  expect(await hold()).toContain('womb infection: check again, then wait for the next heat');
  await t.post(fact('check', fresh, { what: 'womb', isFound: false }));
  // Looked at on the same day it was held back says nothing yet.
  expect(await hold()).toContain('womb infection: check again, then wait for the next heat');
});

it('a dam goes on with her young, and the pens are counted', async () => {
  const bonding = async () => (await view()).pens.find((p) => p.stage === 'bonding')?.taken;
  expect(await bonding()).toBe(3);
  expect(refusedOf(await t.post(fact('pen-stage', due, { stage: 'mixing' })))).toBe('kept');
  expect(await bonding()).toBe(2);
  expect((await seen(due)).stage).toMatchObject({ now: 'mixing', next: { stage: 'group' } });
});

it('young whose dam died stand on Births and Today as orphans until somebody feeds them', async () => {
  const [mother, twin, brother] = [uuid(), uuid(), uuid()];
  await t.post(
    arrival(mother, { species: 'goat', bornOn: '2022-04-01', on: '2022-04-01' }),
    birth(mother, { on: '2026-11-20', alive: 2, afterbirth: 'waiting', reason: 'bought in kid' }),
    kid(twin, mother, '2026-11-20'),
    kid(brother, mother, '2026-11-20', { sex: 'male' }),
    fact('departure', mother, { on: '2026-11-22', how: 'died' }),
  );
  const today = async () =>
    (await get<TodayView>(t, '/api/today')).lookAt.filter((l) => l.kind === 'orphans').map((l) => l.count);
  expect(await seen(mother)).toMatchObject({
    orphans: 2,
    goneOn: '2026-11-22',
    // Of her nothing is to be done any more.
    afterbirth: null,
    stage: null,
    handling: { left: 2 },
  });
  expect(await today()).toEqual([2]);
  await t.post(fact('fostering', twin, { damId: foster }));
  expect(await seen(mother)).toMatchObject({ orphans: 1 });
  // By hand: without a dam.
  await t.post(fact('fostering', brother, {}));
  expect(await today()).toEqual([]);
  expect((await seen(mother))?.orphans ?? 0).toBe(0);
});
