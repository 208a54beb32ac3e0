import { dayOf } from '@yaylak/core';
import type { AnimalPage, AnimalRow, ChoosingSet, ChoosingView, TodayView } from '@yaylak/contract';
import { aJob, arrival, demoInto, move, tag, testApp, TODAY, uuid, weight, type TestApp } from './tests/testApp';

describe('on the demo holding', () => {
  let t: TestApp;
  beforeAll(async () => {
    t = await testApp();
    await demoInto(t, 3);
  }, 60_000);
  afterAll(() => t.close());
  const get = async <T>(path: string): Promise<T> => (await t.http().get(path).expect(200)).body as T;

  it('pages through every animal once, in the order asked for', async () => {
    const rows: AnimalRow[] = [];
    let cursor: string | null = '0';
    let total = 0;
    while (cursor !== null) {
      const page: AnimalPage = await get(
        `/api/animals?presence=all&sort=weight&direction=down&limit=300&cursor=${cursor}`,
      );
      rows.push(...page.rows);
      total = page.total;
      cursor = page.nextCursor;
    }
    expect(rows).toHaveLength(total);
    expect(new Set(rows.map((r) => r.tag.animalId)).size).toBe(total);
    const kgs = rows.flatMap((r) => r.lastKg ?? []);
    expect(kgs).toEqual([...kgs].sort((a, b) => b - a));
    // Without a weight last, whichever way it is sorted.
    expect(rows.findIndex((r) => r.lastKg === null)).toBe(kgs.length);
  });

  it('filters by species, sex, year and words', async () => {
    const lambs = await get<AnimalPage>('/api/animals?species=sheep&sex=female&bornIn=2026');
    expect(lambs.rows.every((r) => r.species === 'sheep' && r.bornOn?.startsWith('2026'))).toBe(true);
    const first = lambs.rows[0]?.tag.text ?? '';
    expect(
      (await get<AnimalPage>(`/api/animals?words=${first.replace('-', '')}`)).rows.map((r) => r.tag.text),
    ).toContain(first);
    await t.http().get('/api/animals?species=dragon').expect(400);
    await t.http().get('/api/animals?bornIn=soon').expect(400);
  });

  it('does not put the heaviest lamb first, and says why in grams that add up', async () => {
    const sets = await get<ChoosingSet[]>('/api/choosing/sets');
    const crop = sets.find((s) => s.species === 'sheep' && s.sex === 'female' && s.count > 10);
    const view = await get<ChoosingView>(`/api/choosing?species=sheep&sex=female&from=${crop?.from}`);
    const heaviest = view.rows.find((r) => r.placeByWeight === 1);
    expect(heaviest?.place).toBeGreaterThan(1);
    for (const row of view.rows) {
      const { totalGrams, parts } = row.breakdown ?? { totalGrams: 0, parts: {} };
      expect(Object.values(parts).reduce((s, p) => s + p, 0)).toBe(totalGrams);
    }
    expect(heaviest?.reasons[0]).toMatchObject({ code: 'heavier-than-worth', placeByWeight: 1 });
    expect(view.rows.filter((r) => r.suggestion === 'keep')).toHaveLength(view.lines.keep);
  });

  it('shows today what waits: the lamb that stands still, the slip of the digits, the job broken off', async () => {
    const today = await get<TodayView>('/api/today');
    expect(today.notGrowing.length).toBeGreaterThanOrEqual(1);
    expect(today.notGrowing[0]?.gain.verdict).toBe('below');
    expect(today.openJobs.map((j) => j.name)).toEqual(['Kids, after weaning']);
    expect(today.lookAt.map((l) => l.kind)).toEqual(
      expect.arrayContaining(['doubtful-weight', 'unknown-animal', 'adult-alarm']),
    );
    expect(today.due.some((d) => d.isOpen)).toBe(true);
  });

  it('says too soon to tell of two weighings four days apart', async () => {
    const rams = await get<AnimalPage>('/api/animals?species=sheep&sex=male&bornIn=2026');
    const soon = rams.rows.find((r) => r.gain && dayOf(r.gain.to) - dayOf(r.gain.from) === 4);
    expect(soon?.gain?.verdict).toBe('too-soon');
    expect(soon?.gain?.halfWidth).toBeGreaterThan(0.1);
  });

  it('weaves the year band from births and rearing', async () => {
    const band = await get<{ lanes: { species: string; blocks: { kind: string }[] }[] }>('/api/year-band');
    expect(band.lanes.map((l) => l.species)).toEqual(['sheep', 'goat', 'rabbit', 'cattle']);
    expect(
      band.lanes.every((l) => l.blocks.some((b) => b.kind === 'births') && l.blocks.some((b) => b.kind === 'rearing')),
    ).toBe(true);
  });

  it('writes CSV with the columns shown', async () => {
    const { text } = await t
      .http()
      .get('/api/files/animals.csv?species=goat&columns=number,group,born')
      .expect('content-type', /text\/csv/);
    expect(text.split('\r\n')[0]).toBe('number,group,born');
    expect(text.split('\r\n').length).toBeGreaterThan(20);
    expect((await t.http().get('/api/files/weights.csv')).text.split('\r\n').length).toBeGreaterThan(3000);
  });

  it('describes itself', async () => {
    const api = await get<{ components: { schemas: Record<string, { properties?: object }> } }>('/api/docs-json');
    expect(Object.keys(api.components.schemas.WeightEntry?.properties ?? {})).toEqual(
      expect.arrayContaining(['kg', 'on', 'animalId']),
    );
    await t.http().get('/api/health').expect(200, { status: 'ok' });
  });
});

describe('records with a version', () => {
  let t: TestApp;
  beforeEach(async () => {
    t = await testApp();
  });
  afterEach(() => t.close());

  it('refuse a change made on an older state, and show the newer', async () => {
    const ewe = uuid();
    await t.post(arrival(ewe));
    await t.http().patch(`/api/animals/${ewe}`).send({ version: 1, sex: 'male' }).expect(200);
    const { body } = await t.http().patch(`/api/animals/${ewe}`).send({ version: 1, birthType: 2 }).expect(409);
    expect(body).toMatchObject({ title: 'This animal was changed meanwhile.', current: { sex: 'male', version: 2 } });
  });

  it('refuse an animal that would be its own ancestor, a male dam, and a birth after the first weight', async () => {
    const [old, young, ram] = [uuid(), uuid(), uuid()];
    await t.post(
      arrival(old, { bornOn: '2023-04-01', on: '2023-04-01' }),
      arrival(young, { damId: old }),
      arrival(ram, { sex: 'male', bornOn: '2023-04-01', on: '2023-04-01' }),
      weight(young, '2026-06-01', 20),
    );
    await t
      .http()
      .patch(`/api/animals/${old}`)
      .send({ version: 1, bornOn: null, damId: young })
      .expect(400, /own ancestor/);
    await t
      .http()
      .patch(`/api/animals/${young}`)
      .send({ version: 1, damId: ram })
      .expect(400, /cannot be the dam/);
    await t
      .http()
      .patch(`/api/animals/${young}`)
      .send({ version: 1, bornOn: '2026-06-02' })
      .expect(400, /after its first entry/);
    await t
      .http()
      .patch(`/api/animals/${young}`)
      .send({ version: 1, bornOn: '2025-02-29' })
      .expect(400, /not a real date/);
  });

  it('keep the holding’s settings within bounds', async () => {
    const change = (body: object) =>
      t
        .http()
        .patch('/api/holding')
        .send({ version: 1, ...body });
    await change({ unit: 'stone' }).expect(400);
    await change({ currency: 'money' }).expect(400, /three capital letters/);
    await change({ species: { sheep: { readingSdShare: 'much' } } }).expect(400);
    await change({ species: { sheep: { numberTemplate: '{YY}' } } }).expect(400, /number template/);
    await change({ species: { sheep: { wings: 2 } } }).expect(400);
    await change({ pointsWeights: { growth: 0, damRecord: 0, lastGain: 0 } }).expect(
      400,
      /one trait at least has to count/,
    );
    const { body } = await change({ species: { sheep: { heaviestKg: 300 } }, unit: 'lb' }).expect(200);
    expect(body).toMatchObject({
      version: 2,
      unit: 'lb',
      species: { sheep: { heaviestKg: 300, readingSdShare: 0.025 } },
    });
    t = await t.again();
    expect((await t.http().get('/api/holding')).body.species.sheep.heaviestKg).toBe(300);
  });

  it('make groups once, by name and by id', async () => {
    const id = uuid();
    await t.http().post('/api/groups').send({ id, name: 'Top paddock' }).expect(201);
    await t.http().post('/api/groups').send({ id, name: 'Top paddock' }).expect(201);
    await t
      .http()
      .post('/api/groups')
      .send({ id: uuid(), name: 'top paddock' })
      .expect(400, /already/);
    const ewe = uuid();
    await t.post(arrival(ewe), move(ewe, id));
    expect((await t.http().get('/api/groups')).body).toMatchObject([{ name: 'Top paddock', present: 1 }]);
  });
});

describe('a job', () => {
  it('is started once, keeps what belongs to it, and is finished once', async () => {
    const t = await testApp();
    const [ewe, jobId] = [uuid(), uuid()];
    await t.post(arrival(ewe), tag(ewe, '26-0001'));
    const job = aJob({
      id: jobId,
      name: 'Lambs',
      stations: ['weigh', 'sort'],
      gates: [{ key: 'left', name: 'Keep' }],
      animalIds: [ewe],
    });
    await t.http().post('/api/jobs').send(job).expect(200);
    await t.http().post('/api/jobs').send(job).expect(200);
    expect((await t.http().get('/api/jobs')).body).toHaveLength(1);
    await t.post(
      { ...weight(ewe, TODAY, 30), jobId },
      { ...weight(ewe, TODAY, 30), type: 'passage', kg: undefined, method: undefined, gate: 'Keep', jobId },
    );
    const { body } = await t.http().get(`/api/jobs/${jobId}`);
    expect(body).toMatchObject({
      job: { seen: 1, expected: 1, finishedAt: null },
      entries: [{ type: 'weight' }, { type: 'passage', gate: 'Keep' }],
    });
    await t
      .http()
      .post(`/api/jobs/${jobId}/finish`)
      .send({ finishedAt: `${TODAY}T09:00:00.000Z` })
      .expect(200);
    const again = await t
      .http()
      .post(`/api/jobs/${jobId}/finish`)
      .send({ finishedAt: `${TODAY}T10:00:00.000Z` })
      .expect(200);
    expect(again.body.finishedAt).toBe(`${TODAY}T09:00:00.000Z`);
    await t
      .http()
      .post('/api/jobs')
      .send({ ...job, id: uuid(), stations: ['fly'] })
      .expect(400);
    await t.close();
  });
});
