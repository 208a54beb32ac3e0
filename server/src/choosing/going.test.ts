import type { GoingView, HerdView, TodayView } from '@yaylak/contract';
import { arrival, departure, fact, get, testApp, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const going = (species = 'sheep'): Promise<GoingView> => get(t, `/api/choosing/going?species=${species}`);
/** A ewe of four years. @returns her id */
async function aEwe(change: object = {}): Promise<string> {
  const id = uuid();
  await t.post(arrival(id, { bornOn: '2022-03-01', on: '2022-03-01', ...change }));
  return id;
}
const check = (animalId: string, what: string, on = '2026-11-01', isFound = true) =>
  fact('check', animalId, { what, isFound, on });

it('puts those to go now first, each with its evidence, and says nothing of the sound', async () => {
  const [old, wild] = [await aEwe({ bornOn: '2018-03-01', on: '2018-03-01' }), await aEwe()];
  await aEwe();
  await t.post(check(wild, 'temper'));
  const { rows, females } = await going();
  expect(females).toBe(3);
  expect(rows.map((r) => [r.tag.animalId, r.weight, r.hits.map((h) => h.fact)])).toEqual([
    [wild, 'now', ['temper']],
    [old, 'season-end', ['age']],
  ]);
  expect(rows[0]?.hits[0]?.evidence).toEqual([{ on: '2026-11-01', what: null, figure: null }]);
  const { shouldGo } = await get<TodayView>(t, '/api/today');
  expect(shouldGo).toEqual([{ species: 'sheep', now: 1, seasonEnd: 1 }]);
});

it('stays with a reason until something new speaks against her', async () => {
  const ewe = await aEwe();
  await t.post(check(ewe, 'prolapse', '2026-04-01'));
  expect((await going()).rows).toHaveLength(1);
  const stays = fact('choice', ewe, {
    on: '2026-11-10',
    decision: 'keep',
    among: 'grown sheep',
    reason: 'fond of her',
  });
  await t.post(stays);
  const kept = await going();
  expect(kept.rows).toEqual([]);
  expect(kept.stays).toMatchObject([{ reason: 'fond of her', on: '2026-11-10', hits: [{ fact: 'prolapse' }] }]);
  expect((await get<TodayView>(t, '/api/today')).shouldGo).toEqual([]);
  await t.post(check(ewe, 'udder', '2026-11-15'));
  expect((await going()).rows[0]?.hits.map((h) => h.fact)).toEqual(['udder']);
});

it('one decided to go stands under those that go, until she has left', async () => {
  const ewe = await aEwe();
  await t.post(check(ewe, 'temper'), fact('choice', ewe, { decision: 'cull', among: 'grown sheep' }));
  const { rows, goes } = await going();
  expect(rows).toEqual([]);
  expect(goes).toMatchObject([{ decision: 'cull', reason: null }]);
  await t.post(departure(ewe, '2026-11-20'));
  expect((await going()).goes).toEqual([]);
});

it('goes by the rules as the holding sets them, and refuses those that are none', async () => {
  await aEwe({ bornOn: '2018-03-01', on: '2018-03-01' });
  const age = { species: 'sheep', sex: 'female', fact: 'age', times: 1, granted: 0, weight: 'watch', years: 9 };
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 1, choosing: { presets: [], rules: [age] } })
    .expect(200);
  const view = await going();
  expect(view.rows).toEqual([]);
  expect(view.rules).toMatchObject([{ fact: 'age', years: 9 }]);
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 2, choosing: { presets: [], rules: [{ ...age, times: 0 }] } })
    .expect(400);
});

it('weighs one more year, and names who was not looked over for a year', async () => {
  const ewe = await aEwe({ bornOn: '2018-03-01', on: '2018-03-01' });
  await t.post(fact('birth', ewe, { on: '2026-04-01', alive: 2, dead: 0, ease: 'alone' }));
  await t.post(arrival(uuid(), { bornOn: '2026-04-01', on: '2026-04-01', damId: ewe }));
  const { rows, toLookOver } = await going();
  const year = rows[0]?.oneMoreYear;
  // R = .7 of a grown one's at nine; own and herd are the same ewe, one litter.
  expect(year?.young).toBeCloseTo(0.7 * (rows[0]?.reared?.perYear ?? NaN), 9);
  expect((year?.keepingMinor ?? 0) - (year?.replacingMinor ?? 0)).toBeCloseTo(year?.differenceMinor ?? NaN, -1);
  expect(toLookOver).toContain(ewe);
  expect(year?.inputs).toMatchObject({ youngMinor: 8_000, youngSales: 0, cullSales: 0 });
  // From five lambs sold on their own mean counts, and how sure it is.
  for (const priceMinor of [9_000, 10_000, 11_000, 12_000, 8_000]) {
    const lamb = uuid();
    await t.post(arrival(lamb, { bornOn: '2026-04-01', on: '2026-04-01' }));
    await t.post({ ...departure(lamb, '2026-10-01'), priceMinor });
  }
  const after = (await going()).rows[0]?.oneMoreYear;
  expect(after?.inputs).toMatchObject({ youngMinor: 10_000, youngSales: 5, cullMinor: 6_500, cullSales: 0 });
  const dearer = ((year?.young ?? NaN) - (year?.firstYoung ?? NaN)) * 2_000;
  expect((after?.differenceMinor ?? NaN) - (year?.differenceMinor ?? NaN)).toBeCloseTo(dearer, -1);
  expect(after?.halfWidthMinor).toBeGreaterThan(year?.halfWidthMinor ?? NaN);
});

it('counts the females by age with their own shares and the table’s', async () => {
  await aEwe();
  const died = await aEwe();
  await t.post(departure(died, '2026-02-01', 'died'));
  await t.post(arrival(uuid(), { bornOn: '2026-04-01', on: '2026-04-01' }));
  const herd = await get<HerdView>(t, '/api/choosing/herd?species=sheep');
  expect(herd.head).toBe(1);
  expect(herd.coming).toBe(1);
  const four = herd.classes.find((c) => c.ageYears === 4);
  expect(four).toMatchObject({ head: 1, years: 0 });
  // Of two years at three one died: (1 + 20 x .04) / 22.
  expect(herd.classes.find((c) => c.ageYears === 3)).toMatchObject({ years: 2, died: 1.8 / 22 });
  expect(herd.gain).toBeNull();
});
