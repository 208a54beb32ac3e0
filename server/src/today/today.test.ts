import type { RearingView, TodayView, YearBandView } from '@yaylak/contract';
import {
  aJob,
  aGroup,
  aProduct,
  arrival,
  get,
  move,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
  fact,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const today = (): Promise<TodayView> => get(t, '/api/today');

it('has nothing to say of an empty book', async () => {
  expect(await today()).toMatchObject({ on: TODAY, due: [], notGrowing: [], openJobs: [], lookAt: [] });
});

it('puts those due by one step into one row for their group, in a window of their own', async () => {
  const top = await aGroup(t, 'Top');
  const [a, b, other] = [uuid(), uuid(), uuid()];
  // 8 week weights are due from day 49 to 70: born 30 September and 2 October.
  for (const [id, bornOn] of [
    [a, '2026-09-30'],
    [b, '2026-10-02'],
    [other, '2026-10-01'],
  ] as const)
    await t.post(arrival(id, { bornOn, on: bornOn }), weight(id, bornOn, 4));
  await t.post(move(a, top, '2026-10-02'), move(b, top, '2026-10-02'));
  const { due } = await today();
  const row = due.find((d) => d.group?.name === 'Top');
  expect(row).toMatchObject({
    why: ['8 week weight'],
    who: { count: 2, words: ['ewe lamb', 'ewe lambs'] },
    isOpen: true,
    species: 'sheep',
  });
  expect(new Set(row?.animalIds)).toEqual(new Set([a, b]));
  // Opens with the first and closes with the first to close: 30 September + 49 and + 70.
  expect(row?.window).toMatchObject({ opens: '2026-11-18', closes: '2026-12-09' });
  expect(due.find((d) => d.group === null)?.animalIds).toEqual([other]);
});

it('names the one that stands still among those that grow, and nobody of a group too alike to tell', async () => {
  const top = await aGroup(t, 'Top');
  const ids = Array.from({ length: 6 }, () => uuid());
  const readings = (id: string, kgs: readonly number[]) =>
    ['2026-09-26', '2026-10-10', '2026-10-24', '2026-11-07', '2026-11-21'].map((on, i) => weight(id, on, kgs[i] ?? 0));
  for (const [i, id] of ids.entries())
    await t.post(
      arrival(id, { bornOn: '2026-06-01', on: '2026-06-01' }),
      move(id, top, '2026-06-01'),
      ...readings(id, i === 0 ? [24, 24.1, 23.9, 24, 24.1] : [24, 27, 30, 33, 36].map((kg) => kg + i * 0.1)),
    );
  const { notGrowing } = await today();
  expect(notGrowing.map((n) => n.tag.animalId)).toEqual([ids[0]]);
  expect(notGrowing[0]).toMatchObject({ groupSize: 6, isSmallGroup: false, groupName: 'Top' });
  // 12 kg in 56 days is 214 g a day, the median of the group.
  expect(notGrowing[0]?.groupMedianKgPerDay).toBeCloseTo(12 / 56, 6);
});

it('keeps a job that was begun and not finished in sight', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe));
  const job = aJob({ name: 'Lambs', animalIds: [ewe] });
  await t.http().post('/api/jobs').send(job).expect(200);
  expect((await today()).openJobs).toMatchObject([{ name: 'Lambs', seen: 0, expected: 1 }]);
  await t
    .http()
    .post(`/api/jobs/${job.id}/finish`)
    .send({ finishedAt: `${TODAY}T09:00:00.000Z` });
  expect((await today()).openJobs).toEqual([]);
});

it('weaves births and the rearing after them into the lane of the species, over the turn of the year too', async () => {
  const dam = uuid();
  const kids = [uuid(), uuid()];
  await t.post(arrival(dam, { species: 'goat', bornOn: '2022-03-01', on: '2022-03-01' }));
  await t.post(
    ...kids.map((id, i) => {
      const bornOn = i === 0 ? '2025-12-29' : '2026-01-03';
      return arrival(id, { species: 'goat', damId: dam, bornOn, on: bornOn });
    }),
  );
  const band = await get<YearBandView>(t, '/api/year-band');
  const goats = band.lanes.find((l) => l.species === 'goat');
  expect(goats?.blocks.map((b) => b.kind)).toEqual(['births', 'rearing']);
  expect(goats?.blocks[0]).toMatchObject({ batchFrom: '2025-12-29', young: 2 });
});

it('sends the first of a long list and says how many more there are, and the whole when it is asked for', async () => {
  const product = await aProduct(t);
  const ewes = Array.from({ length: 45 }, () => uuid());
  await t.post(...ewes.flatMap((id) => [arrival(id), treatment(id, product, { meatDays: 14 })]));
  const first = await today();
  expect(first.withheld).toHaveLength(40);
  expect(first.more).toEqual({ notGrowing: 0, withheld: 5, lookAt: 0 });
  const whole = await get<TodayView>(t, '/api/today?all=withheld');
  expect(new Set(whole.withheld.map((w) => w.tag.animalId))).toEqual(new Set(ewes));
  expect(whole.more.withheld).toBe(0);
  await get(t, '/api/today?all=everything', 400);
});

it('asks for the weaning of those Rearing says are of age, planned or not', async () => {
  const [planned, other] = [await aGroup(t, 'Planned'), await aGroup(t, 'Others')];
  const born = { bornOn: '2026-08-15', on: '2026-08-15' };
  const lambs = await Promise.all(
    [planned, planned, other].map(async (group, i) => {
      const [ewe, lamb] = [uuid(), uuid()];
      const late = i === 1 ? { bornOn: '2026-09-20', on: '2026-09-20' } : born;
      await t.post(
        arrival(ewe, { bornOn: '2023-03-01', on: '2023-03-01' }),
        move(ewe, group, '2024-03-01'),
        arrival(lamb, { damId: ewe, ...late }),
        move(lamb, group, late.on),
      );
      return lamb;
    }),
  );
  const plan = { kind: 'season', name: 'Autumn lambs', species: 'sheep', groupId: planned, females: 2 };
  const wanted = { what: 'births', on: '2026-08-12' };
  await t
    .http()
    .post('/api/season/plans')
    .send({
      ...plan,
      id: uuid(),
      wanted,
      matingOn: '2026-03-18',
      flushing: 'none',
      cycles: 2,
      doses: [],
      shifts: {},
      done: {},
    })
    .expect(201);
  // Weaned from 90 days on: born on 15 August they are 100 days old, on 20 September 64.
  const asked = (await today()).due.filter((d) => d.does.includes('Wean')).flatMap((d) => d.animalIds);
  const rearing = await get<RearingView>(t, '/api/rearing?species=sheep');
  const ready = rearing.litters.flatMap((l) => l.young).filter((y) => y.weaning.isReady);
  expect(new Set(asked)).toEqual(new Set([lambs[0], lambs[2]]));
  expect(new Set(ready.map((y) => y.tag.animalId))).toEqual(new Set(asked));
});

it('keeps those to be weaned apart from those that are only weighed', async () => {
  const top = await aGroup(t, 'Top');
  const on = '2026-08-05'; // 110 days old: of age to be weaned, and the 16 week weight is due
  const lambs = Array.from({ length: 5 }, () => uuid());
  for (const lamb of lambs) {
    const ewe = uuid();
    await t.post(
      arrival(ewe, { bornOn: '2023-03-01', on: '2023-03-01' }),
      arrival(lamb, { damId: ewe, bornOn: on, on }),
      weight(lamb, on, 4),
      move(lamb, top, on),
    );
  }
  await t.post(fact('weaning', lambs[4] ?? '', { isDone: true, on: '2026-11-20' }));
  const { due } = await today();
  expect(due.find((d) => d.does.includes('Weigh'))?.animalIds).toHaveLength(5);
  const wean = due.find((d) => d.does.includes('Wean'));
  expect(new Set(wean?.animalIds)).toEqual(new Set(lambs.slice(0, 4)));
  expect(wean).toMatchObject({ job: null, at: { path: '/rearing?species=sheep', words: 'Wean' } });
});
