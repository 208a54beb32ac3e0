import type {
  AgeingView,
  BirthListView,
  CarryingView,
  MatingView,
  RosterView,
  SeasonView,
  TubeOutView,
} from '@yaylak/contract';
import {
  aGroup,
  arrival,
  departure,
  fact,
  get,
  goatHerd,
  move,
  sample,
  testApp,
  uuid,
  type TestApp,
} from '../tests/testApp';

/** Eight does and two bucks, served in autumn 2026; today is 23 November. */
let t: TestApp;
let herd: string;
const ids = Array.from({ length: 10 }, uuid);
const [buck, other, twins, blood, fresh, sold, late, again, unserved, lost] = ids as [
  string,
  string,
  string,
  string,
  string,
  string,
  string,
  string,
  string,
  string,
];
const does = [twins, blood, fresh, sold, late, again, unserved, lost];
const serve = (animalId: string, on: string, maleId = buck) =>
  fact('service', animalId, { on, way: 'hand', maleIds: [maleId] });
const scan = (animalId: string, on: string, more: object = {}) =>
  fact('pregnancy-test', animalId, { on, way: 'scan', result: 'carrying', ...more });

beforeAll(async () => {
  t = await testApp();
  herd = await aGroup(t, 'Does');
  const answers = await t.post(
    ...goatHerd(herd, does, [buck, other]),
    serve(twins, '2026-09-20'),
    serve(blood, '2026-09-25'),
    serve(fresh, '2026-11-03'),
    serve(sold, '2026-09-22'),
    serve(late, '2026-10-12'),
    serve(again, '2026-09-21'),
    serve(again, '2026-10-12', other),
    serve(lost, '2026-09-23'),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
});
afterAll(() => t.close());

const view = (more = '') => get<CarryingView>(t, `/api/carrying?species=goat${more}`);
const one = async (id: string) => (await view()).females.find((f) => f.tag.animalId === id);

describe('a test too soon', () => {
  it('is refused with the day it can tell from, and taken with a reason as doubtful', async () => {
    const [refused] = await t.post({ ...sample(fresh, 'B-001'), purpose: 'pregnancy' } as never);
    expect(refused).toMatchObject({
      status: 'refused',
      message: expect.stringMatching(
        /^Blood test on day 20 after the service of 3 Nov 2026; it can tell from day 30, 3 Dec 2026\./,
      ) as string,
    });
    const tube = {
      ...sample(fresh, 'B-001'),
      purpose: 'pregnancy',
      reason: 'she is sold tomorrow',
    } as never as ReturnType<typeof sample>;
    expect((await t.post(tube))[0]?.status).toBe('kept');
    expect(await get<TubeOutView[]>(t, '/api/carrying/tubes')).toMatchObject([
      { tube: 'B-001', isTooSoon: true, servedOn: '2026-11-03', numbers: ['G-03'] },
    ]);
    const before = (await one(fresh))?.chance?.probability;
    const answer = await t.post(
      fact('pregnancy-test', fresh, { way: 'blood', result: 'empty', sampleId: tube.id, laboratory: 'Upland' }),
    );
    expect(answer[0]?.status).toBe('kept');
    const after = await one(fresh);
    expect(after?.chance?.probability).toBe(before);
    const told = after?.chance?.story.find((s) => s.kind === 'tested');
    expect(told).toMatchObject({ test: { isTooSoon: true }, weight: 1 });
    expect(await get<TubeOutView[]>(t, '/api/carrying/tubes')).toEqual([]);
    // Answered once, it is not answered again.
    const [twice] = await t.post(
      fact('pregnancy-test', fresh, { way: 'blood', result: 'carrying', sampleId: tube.id }),
    );
    expect(twice).toMatchObject({ status: 'refused', refusal: { code: 'tube-answered' } });
  });

  it('is refused of a doe that gave birth last month', async () => {
    const dam = uuid();
    const kid = uuid();
    await t.post(
      arrival(dam, { species: 'goat', bornOn: '2023-04-01', on: '2023-04-01' }),
      arrival(kid, { species: 'goat', bornOn: '2026-10-10', on: '2026-10-10', damId: dam }),
    );
    const [refused] = await t.post({ ...sample(dam, 'B-009'), purpose: 'pregnancy' } as never);
    expect(refused).toMatchObject({
      status: 'refused',
      message: expect.stringContaining('after the birth of 10 Oct 2026; it can tell from day 60, 9 Dec 2026') as string,
    });
    await t.post(departure(dam, '2026-11-20'), departure(kid, '2026-11-20'));
  });
});

describe('what is known of each', () => {
  beforeAll(async () => {
    const answers = await t.post(
      scan(twins, '2026-11-20', { young: 2, ageDays: 61, testedBy: 'Selin', learner: 'Kerem', learnerAgeDays: 66 }),
      scan(again, '2026-11-20', { young: 1, ageDays: 59, testedBy: 'Selin', learner: 'Kerem', learnerAgeDays: 61 }),
      fact('pregnancy-test', blood, { on: '2026-11-10', way: 'blood', result: 'empty' }),
      scan(lost, '2026-11-10', { young: 1 }),
      fact('loss', lost, { on: '2026-11-15', how: 'slipped' }),
      departure(sold, '2026-11-01'),
    );
    expect(answers.map((a) => a.status)).not.toContain('refused');
  });

  it('a scan with twins is in young, fits its service, and waits for a birth', async () => {
    const doe = await one(twins);
    expect(doe).toMatchObject({
      state: 'in-young',
      young: 2,
      conceivedOn: '2026-09-20',
      fit: { servedOn: '2026-09-20', daysOff: 0, sires: [{ tag: { text: 'Juniper' }, probability: 1 }] },
      birth: { opens: '2027-02-12', closes: '2027-02-22' }, // 145 and 155 days
      whatNow: null,
    });
    expect(doe?.chance?.probability).toBeGreaterThan(0.99);
  });

  it('served again while in young, the scan says by whom, and explains the second service', async () => {
    const doe = await one(again);
    expect(doe).toMatchObject({ conceivedOn: '2026-09-21', fit: { sires: [{ tag: { text: 'Juniper' } }] } });
    expect(doe?.chance?.contradictions).toEqual([]);
    expect(doe?.state).toBe('in-young');
  });

  it('one told empty by blood has her ways on with their costs', async () => {
    const doe = await one(blood);
    const { whatNow } = doe ?? {};
    expect(doe?.state).toBe('empty');
    const q = doe?.chance?.probability ?? 0;
    const cost = Object.fromEntries((whatNow?.ways ?? []).map((w) => [w.way, w.costMinor]));
    const keep = (whatNow?.keepDays ?? 0) * 70;
    expect(cost.keep).toBe(Math.round((1 - q) * keep));
    expect(cost.sell).toBe(Math.round(q * 14_000));
    expect(whatNow?.breakEven).toBeCloseTo(keep / (keep + 14_000), 9);
    expect(whatNow?.ways.map((w) => w.costMinor)).toEqual(Object.values(cost).sort((a, b) => a - b));
    const decision = fact('way-on', blood, { decision: 'sell', suggested: 'test-again', chance: q, reason: 'old' });
    expect((await t.post(decision))[0]?.status).toBe('kept');
    expect((await one(blood))?.decided).toMatchObject({ decision: 'sell', reason: 'old' });
  });

  it('a loss ends it, and she may be mated again', async () => {
    expect(await one(lost)).toMatchObject({ state: 'lost', chance: { probability: 0 }, birth: null });
    const { females } = await get<MatingView>(t, '/api/mating?species=goat');
    expect(females.find((f) => f.tag.animalId === lost)?.reasons.map((r) => r.code)).not.toContain('carrying');
  });

  it('shows who was never served, and who is gone no more', async () => {
    const { females } = await view();
    expect(females.find((f) => f.tag.animalId === unserved)?.state).toBe('not-served');
    expect(females.some((f) => f.tag.animalId === sold)).toBe(false);
  });
});

it('plans the tests: whom they can tell of today, the others’ day, and the best one for all', async () => {
  const { testing } = await view();
  const ways = Object.fromEntries(testing.map((p) => [p.way, p]));
  // In young by scan, told empty, lost or sold: none of these is asked for blood.
  expect(ways.blood?.ready.map((g) => g.text)).toEqual(expect.arrayContaining(['G-05']));
  expect(ways.blood?.ready.map((g) => g.text)).not.toContain('G-01');
  expect(ways.blood?.later).toEqual([]);
  expect(ways.scan?.later).toMatchObject([{ tag: { text: 'G-03' }, tooSoon: { validFrom: '2026-12-08' } }]);
  expect(ways.scan?.bestDay?.best).toBeGreaterThan(1);
  expect(ways.palpation).toBeUndefined();
});

it('draws the curve of the season: base, weeks, the sold one out of it, and a male’s own', async () => {
  const { curve, season, groups, males } = await view();
  expect(season).toBe('2026-09-20');
  expect(groups.map((g) => g.name)).toEqual(['Does']);
  expect(males.map((m) => m.text).sort()).toEqual(['Alder', 'Juniper']);
  expect(curve).toMatchObject({ base: 8, left: 1, notServed: 1, scanning: { females: 3, young: 4 } });
  expect(curve?.weeks[0]?.known).toBeLessThanOrEqual(curve?.weeks.at(-1)?.known ?? 0);
  expect(curve?.foretold.at(-1)).toBeGreaterThan(curve?.known.at(-1) ?? 1);
  const his = await view(`&maleId=${other}`);
  expect(his.curve?.base).toBe(1);
  for (const drawn of [curve, his.curve])
    drawn?.known.forEach((known, day) => {
      expect(drawn.foretold[day]).toBeGreaterThanOrEqual(known - 1e-9);
    });
});

it('lists births to come by day, and who when', async () => {
  const { births } = await view();
  expect(births?.total).toBeGreaterThan(2);
  expect(births?.perDay.reduce((s, n) => s + n, 0)).toBeCloseTo(births?.total ?? 0, 9);
  const { rows } = await get<BirthListView>(t, '/api/births/list?species=goat');
  expect(rows.map((r) => r.tag.text)).toContain('G-01');
  expect(rows.map((r) => r.birth.bestFrom)).toEqual(rows.map((r) => r.birth.bestFrom).sort());
  expect(rows.some((r) => r.tag.text === 'G-08')).toBe(false); // she lost hers
  // The calendar has them as well, as whole days.
  const { calendarKey } = await get<SeasonView>(t, '/api/season');
  const { text } = await t.http().get(`/api/calendar.ics?key=${calendarKey}`).expect(200);
  expect(text.replaceAll('\r\n ', '')).toMatch(/DTSTART;VALUE=DATE:20270215[\s\S]*?SUMMARY:G-01: kidding/);
});

it('holds a learner’s ages against the scanner’s', async () => {
  const [pair] = await get<AgeingView[]>(t, '/api/carrying/ageing');
  // 66 - 61 and 61 - 59: five and two days too old.
  expect(pair).toMatchObject({ learner: 'Kerem', scanner: 'Selin', bias: 3.5, withinFive: 1 });
  expect(pair?.sd).toBeCloseTo(Math.sqrt(4.5), 9);
});

it('takes services and births along to the race', async () => {
  const { animals } = await get<RosterView>(t, '/api/roster');
  expect(animals.find((a) => a.tag.animalId === again)?.served).toEqual([
    { from: '2026-09-21', to: '2026-09-21', males: ['Juniper'] },
    { from: '2026-10-12', to: '2026-10-12', males: ['Alder'] },
  ]);
});

it('takes a ewe that ran with the ram over a cycle as served, from his first day on', async () => {
  const [ram, ewe] = [uuid(), uuid()];
  const flock = await aGroup(t, 'Flock');
  const stayId = uuid();
  await t.post(
    arrival(ram, { sex: 'male', bornOn: '2023-04-01', on: '2023-04-01' }),
    arrival(ewe, { bornOn: '2023-04-01', on: '2023-04-01' }),
    move(ewe, flock, '2024-04-01'),
    { ...fact('stay', ram, { on: '2026-10-01', groupId: flock }), id: stayId },
  );
  const view = () => get<CarryingView>(t, '/api/carrying?species=sheep');
  expect((await view()).females).toMatchObject([
    { state: 'too-soon', chance: { servedOn: '2026-10-01' }, windows: [{ way: 'blood' }, { way: 'scan' }] },
  ]);
  await t.post(fact('stay-end', ram, { on: '2026-10-25', stayId }));
  // Out since 25 October: a scan can tell from 29 November, 35 days on.
  const [after] = (await view()).females;
  expect(after?.windows[1]?.window.opens).toBe('2026-11-29');
  expect(after?.conceivedOn).toBe('2026-10-13');
});

it('knows nothing of a species nobody was served of', async () => {
  expect(await get<CarryingView>(t, '/api/carrying?species=cattle')).toMatchObject({
    seasons: [],
    season: null,
    curve: null,
    births: null,
    females: [],
  });
  await t.http().get('/api/carrying?species=dragon').expect(400);
});
