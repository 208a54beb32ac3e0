import type { JobEntries, RosterView, StartJob, TemplateView } from '@yaylak/contract';
import {
  aJob,
  arrival,
  departure,
  fact,
  get,
  identifierEnd,
  sample,
  tag,
  testApp,
  TODAY,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const worn = (text: string) => [text, expect.any(String), 'visual'];
const roster = async () => (await get<RosterView>(t, '/api/roster')).animals;

it('carries to the device who is here, by every number they ever wore', async () => {
  const [ewe, sold] = [uuid(), uuid()];
  await t.post(
    arrival(ewe),
    arrival(sold),
    tag(ewe, '26-0001'),
    tag(ewe, '26-0002', 'blue'),
    departure(sold, '2026-06-01'),
  );
  expect(await roster()).toMatchObject([
    { tag: { animalId: ewe }, worn: [worn('26-0001'), worn('26-0002')], formerly: [], dam: null },
  ]);
});

it('carries the first weight and the last six, so that a gain can be worked out without the server', async () => {
  const ewe = uuid();
  const days = [
    '2026-04-01',
    '2026-04-11',
    '2026-05-01',
    '2026-06-01',
    '2026-07-01',
    '2026-08-01',
    '2026-09-01',
    '2026-10-01',
  ];
  await t.post(arrival(ewe), ...days.map((on, i) => weight(ewe, on, 4 + i)));
  const [animal] = await roster();
  expect(animal?.weights.map(([on]) => on)).toEqual(['2026-04-01', ...days.slice(2)]);
});

it('carries numbers of old, of those here and of those who left', async () => {
  const [ewe, dead] = [uuid(), uuid()];
  const lost = tag(ewe, '26-0001');
  await t.post(arrival(ewe), lost, identifierEnd(ewe, lost.id), tag(ewe, '26-0009'));
  await t.post(arrival(dead), tag(dead, '26-0003'), departure(dead, '2026-10-01', 'died'));
  const { animals, gone } = await get<RosterView>(t, '/api/roster');
  expect(animals[0]).toMatchObject({ worn: [worn('26-0009')], formerly: ['26-0001'] });
  expect(gone).toEqual([{ text: '26-0003', animalId: dead, name: '26-0003', how: 'died', on: '2026-10-01' }]);
});

it('carries a tape set right by its hand’s own pairs, from eight on', async () => {
  const ewes = Array.from({ length: 8 }, () => uuid());
  for (const [i, ewe] of ewes.entries())
    await t.post(
      arrival(ewe),
      weight(ewe, '2026-10-01', 30 + i),
      fact('weight', ewe, { on: '2026-10-01', kg: 1.1 * (30 + i), method: 'tape' }),
    );
  const late = uuid();
  await t.post(arrival(late), fact('weight', late, { on: '2026-11-01', kg: 44, method: 'tape' }));
  const { animals, biases } = await get<RosterView>(t, '/api/roster');
  expect(biases).toEqual([
    expect.objectContaining({ by: 'Aylin', method: 'tape', pairs: 8, ratio: expect.closeTo(1.1, 9), isUsed: true }),
  ]);
  expect(animals.find((a) => a.tag.animalId === late)?.weights).toEqual([
    ['2026-11-01', expect.closeTo(40, 9), 'tape'],
  ]);
});

it('carries the last tube', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), tag(ewe, '26-0041'), sample(ewe, 'B-014'), sample(ewe, 'B-009', '2026-11-01'));
  const { lastTubes } = await get<RosterView>(t, '/api/roster');
  expect(lastTubes).toEqual({ blood: 'B-014' });
});

it('carries points only of those a ranking has', async () => {
  const [young, old] = [uuid(), uuid()];
  await t.post(
    arrival(young),
    weight(young, '2026-06-30', 30),
    arrival(old, { bornOn: '2019-04-01', on: '2019-04-01' }),
  );
  const points = new Map((await roster()).map((a) => [a.tag.animalId, a.points]));
  expect(points.get(young)).toBeCloseTo(50, 9); // alone it is its own mean
  expect(points.get(old)).toBeNull();
});

describe('what is written down at a station', () => {
  it('comes back as it was written, after a restart too', async () => {
    const ewe = uuid();
    const all = [
      fact('look', ewe, { grades: { 'sheep-mouth': 'pass', 'sheep-feet': 'fail', 'sheep-frame': 4 } }),
      sample(ewe, 'B-014'),
      fact('care', ewe, { kind: 'feet', method: 'trimmed' }),
      fact('litter-weight', ewe, { totalKg: 12.4, count: 3, tareKg: 0.4 }),
      fact('weight', ewe, { kg: 4.2, method: 'scale', tareKg: 0.6 }),
      fact('passage', ewe, { gate: 'Keep', suggested: 'Sell' }),
    ];
    await t.post(arrival(ewe), ...all);
    t = await t.again();
    const { timeline } = await get<{ timeline: { entry: object }[] }>(t, `/api/animals/${ewe}`);
    for (const entry of all) expect(timeline.map((l) => l.entry)).toContainEqual(entry);
  });

  it('a tube of another that day is refused and says whose it is; struck out it is free again', async () => {
    const [a, b] = [uuid(), uuid()];
    const first = sample(a, 'B-014');
    await t.post(arrival(a), arrival(b), tag(a, '26-0001'), first);
    expect(await t.post(sample(b, 'b 014'))).toMatchObject([
      { status: 'refused', message: expect.stringContaining('yellow 26-0001') },
    ]);
    // Numbers come again with the next lot of tubes.
    expect(await t.post(sample(b, 'B-014', '2026-10-01'))).toMatchObject([{ status: 'kept' }]);
    expect(
      await t.post({
        ...first,
        id: uuid(),
        type: 'strike',
        entryId: first.id,
        animalId: undefined,
        tube: undefined,
        purpose: undefined,
      }),
    ).toMatchObject([{ status: 'kept' }]);
    expect(await t.post(sample(b, 'B-014'))).toMatchObject([{ status: 'kept' }]);
  });

  it.each<[string, string, object, string]>([
    ['look', 'female', { grades: {} }, 'Nothing was looked over'],
    ['litter-weight', 'male', { totalKg: 2, count: 2 }, 'not a female'],
    ['litter-weight', 'female', { totalKg: 900, count: 2 }, 'heavier than'],
  ])('a %s of a %s with %j is refused', async (type, sex, fields, words) => {
    const animal = uuid();
    await t.post(arrival(animal, { sex }));
    expect(await t.post(fact(type as 'look', animal, fields))).toMatchObject([
      { status: 'refused', message: expect.stringContaining(words) },
    ]);
  });
});

describe('templates', () => {
  const mine = { id: uuid(), name: 'Autumn round', stations: ['weigh', 'treat'], settings: {}, gates: [] };
  const list = () => get<TemplateView[]>(t, '/api/templates');
  it('are the shipped ones and the holding’s own', async () => {
    await t.http().post('/api/templates').send(mine).expect(200);
    await t
      .http()
      .post('/api/templates')
      .send({ ...mine, stations: ['weigh'] })
      .expect(200); // replaced
    expect((await list()).filter((x) => !x.isShipped)).toMatchObject([{ name: 'Autumn round', stations: ['weigh'] }]);
    expect((await list()).filter((x) => x.isShipped).map((x) => x.id)).toContain('newborn');
    await t.http().delete(`/api/templates/${mine.id}`).expect(204);
    expect((await list()).some((x) => !x.isShipped)).toBe(false);
    await t.http().delete(`/api/templates/${mine.id}`).expect(404);
  });
  it.each([
    [{ ...mine, name: 'weigh' }, /already/],
    [{ ...mine, stations: [] }, /stations/],
    [{ ...mine, stations: ['weigh', 'weigh'] }, /Stations: something stands there twice/],
    [{ ...mine, settings: { weigh: { method: 'guess' } } }, /method/],
  ])('%j is refused', async (template, words) => {
    await t.http().post('/api/templates').send(template).expect(400, words);
  });
});

it('a job keeps the settings of its stations', async () => {
  const id = uuid();
  const settings = { weigh: { method: 'crate' }, sample: { purpose: 'blood', firstTube: 'B-001' } };
  await t
    .http()
    .post('/api/jobs')
    .send({
      id,
      name: 'Autumn round',
      on: TODAY,
      startedAt: `${TODAY}T08:00:00.000Z`,
      startedBy: 'Aylin',
      stations: ['weigh', 'sample'],
      settings,
      gates: [],
      animalIds: [],
    })
    .expect(200);
  expect((await get<JobEntries>(t, `/api/jobs/${id}`)).job.settings).toEqual(settings);
});

it('a job that is not there says so', async () => {
  await t
    .http()
    .get(`/api/jobs/${uuid()}`)
    .expect(404, /no such job/);
  await t.http().post(`/api/jobs/${uuid()}/finish`).send({ finishedAt: '2026-11-23T08:00:00.000Z' }).expect(404);
});

describe('a job that was begun wrongly', () => {
  const start = async (change: Partial<StartJob> = {}): Promise<string> => {
    const id = uuid();
    await t
      .http()
      .post('/api/jobs')
      .send(aJob({ id, ...change }))
      .expect(200);
    return id;
  };
  const { id: _id, startedAt: _at, startedBy: _by, ...facts } = aJob({});
  const discarded = { discardedAt: `${TODAY}T10:00:00.000Z`, discardedBy: 'Kerem' };

  it('has its name, day, animals and stations said anew; who began it and when stays', async () => {
    const [ewe, id] = [uuid(), await start()];
    await t.post(arrival(ewe));
    const change = {
      ...facts,
      name: 'Ewes',
      on: '2026-11-22',
      isForItsDay: true,
      stations: ['weigh', 'score'],
      animalIds: [ewe],
    };
    await t.http().put(`/api/jobs/${id}`).send(change).expect(200);
    expect((await get<JobEntries>(t, `/api/jobs/${id}`)).job).toMatchObject({ ...change, startedBy: 'Aylin' });
    const { isForItsDay: _, ...back } = change;
    await t
      .http()
      .put(`/api/jobs/${id}`)
      .send({ ...back, stations: [] })
      .expect(400);
    await t.http().put(`/api/jobs/${id}`).send(back).expect(200);
    expect((await get<JobEntries>(t, `/api/jobs/${id}`)).job.isForItsDay).toBeUndefined();
    await t.http().put(`/api/jobs/${uuid()}`).send(back).expect(404);
  });

  it('is discarded with what was recorded in it, the animals taken in at it too', async () => {
    const [ewe, stranger, id] = [uuid(), uuid(), await start()];
    await t.post(arrival(ewe));
    await t.post(
      { ...weight(ewe, TODAY, 40), jobId: id },
      { ...arrival(stranger), jobId: id },
      { ...weight(stranger, TODAY, 30), jobId: id },
      { ...fact('passage', stranger, { on: TODAY }), jobId: id },
    );
    await t.http().post(`/api/jobs/${id}/discard`).send(discarded).expect(200);
    expect(await get(t, '/api/jobs')).toEqual([]);
    expect((await roster()).map((a) => [a.tag.animalId, a.weights])).toEqual([[ewe, []]]);
    const { job, entries } = await get<JobEntries>(t, `/api/jobs/${id}`);
    expect(job.discardedAt).toBe(discarded.discardedAt);
    expect(entries.every((e) => e.type === 'strike')).toBe(true);
  });

  it('is not discarded by taking its start back once animals went through', async () => {
    const [ewe, id] = [uuid(), await start()];
    await t.post(arrival(ewe));
    await t.post({ ...weight(ewe, TODAY, 40), jobId: id });
    const ifEmpty = { ...discarded, isIfEmpty: true };
    const { body } = await t.http().post(`/api/jobs/${id}/discard`).send(ifEmpty).expect(409);
    expect(body.title).toMatch(/went through in this job meanwhile/);
    expect((await get<JobEntries>(t, `/api/jobs/${id}`)).entries).toHaveLength(1);
    await t
      .http()
      .post(`/api/jobs/${await start()}/discard`)
      .send(ifEmpty)
      .expect(200);
  });

  it('stands as it was when the book holds something that hangs on it, and says what', async () => {
    const [stranger, id] = [uuid(), await start()];
    await t.post({ ...arrival(stranger), jobId: id });
    await t.post(weight(stranger, TODAY, 30));
    const { body } = await t.http().post(`/api/jobs/${id}/discard`).send(discarded).expect(409);
    expect(body.detail).toMatch(/still has 1 entry in the book/);
    expect(await roster()).toHaveLength(1);
    expect(await get(t, '/api/jobs')).toHaveLength(1);
  });

  it('is in the list again when another device sends an animal of it later, and can be opened again', async () => {
    const [ewe, id] = [uuid(), await start()];
    await t.post(arrival(ewe));
    await t.http().post(`/api/jobs/${id}/discard`).send(discarded).expect(200);
    await t.post({ ...fact('passage', ewe, { on: TODAY }), jobId: id });
    expect(await get(t, '/api/jobs')).toMatchObject([{ id, seen: 1, discardedAt: discarded.discardedAt }]);
    const { body } = await t.http().delete(`/api/jobs/${id}/end`).expect(200);
    expect(body.discardedAt).toBeUndefined();
  });

  it('is opened again after it was finished', async () => {
    const id = await start();
    await t
      .http()
      .post(`/api/jobs/${id}/finish`)
      .send({ finishedAt: `${TODAY}T09:00:00.000Z` })
      .expect(200);
    expect((await t.http().delete(`/api/jobs/${id}/end`).expect(200)).body.finishedAt).toBeNull();
    await t.http().delete(`/api/jobs/${uuid()}/end`).expect(404);
  });
});
