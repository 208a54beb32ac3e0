import {
  workTitle,
  type CreatePlan,
  type PlanView,
  type SeasonView,
  type TodayView,
  type YearBandView,
} from '@yaylak/contract';
import ICAL from 'ical.js';
import { aGroup, aProduct, arrival, fact, get, move, testApp, TODAY, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const view = () => get<SeasonView>(t, '/api/season');
const aPlan = (change: Partial<CreatePlan> = {}): CreatePlan => ({
  id: uuid(),
  kind: 'season',
  name: 'Lambing 2027',
  species: 'sheep',
  females: 3,
  // 147 days before 29 May 2027: two days ahead of the round at 49 days before.
  matingOn: '2027-01-02',
  shifts: {},
  done: {},
  wanted: { what: 'births', on: '2027-05-29' },
  flushing: 'three-weeks',
  cycles: 2,
  doses: [],
  ...change,
});
const create = async (plan: object, status = 201): Promise<PlanView> =>
  (await t.http().post('/api/season/plans').send(plan).expect(status)).body as PlanView;
/** Grown ewes in a group. */
async function ewesIn(group: string, count: number): Promise<string[]> {
  const ids = Array.from({ length: count }, () => uuid());
  for (const id of ids)
    await t.post(arrival(id, { on: '2022-04-01', bornOn: '2022-04-01' }), move(id, group, '2022-05-01'));
  return ids;
}

describe('a plan', () => {
  it('is kept on a version, changed, taken out, and there after a restart', async () => {
    const plan = aPlan();
    const made = await create(plan);
    expect(made).toMatchObject({ id: plan.id, version: 1, facts: { name: 'Lambing 2027' } });
    await create(plan); // sent twice it is one
    const { id, ...facts } = plan;
    const change = { ...facts, matingOn: '2027-01-12', version: 1 };
    await t.http().put(`/api/season/plans/${id}`).send(change).expect(200);
    await t
      .http()
      .put(`/api/season/plans/${id}`)
      .send(change)
      .expect(409, /changed meanwhile/);
    t = await t.again();
    expect((await view()).plans).toMatchObject([{ version: 2, facts: { matingOn: '2027-01-12' } }]);
    await t.http().delete(`/api/season/plans/${id}`).expect(204);
    expect((await view()).plans).toEqual([]);
  });

  it.each<[string, object, string]>([
    ['a season without its flushing', { flushing: undefined }, 'needs “flushing”'],
    ['rabbits with a season', { species: 'rabbit' }, 'rolling cycle'],
    ['a sale of no age', { wanted: { what: 'sale', on: '2027-08-01' } }, 'how old'],
    ['a group that is none', { groupId: '0191d5a0-0000-7000-8000-000000000001' }, 'no such group'],
    ['a step moved two years', { shifts: { weaned: 800 } }, 'Shifts: give up to 400 days'],
    ['a done that is not a date', { done: { weaned: 'yes' } }, 'Done: give a date for each step'],
    ['no females', { females: 0 }, 'females'],
  ])('of %s is refused', async (_, change, words) => {
    const answer = await t.http().post('/api/season/plans').send(aPlan(change)).expect(400);
    expect(JSON.stringify(answer.body)).toContain(words);
  });

  it('is refused under a name there is already', async () => {
    await create(aPlan());
    await create(aPlan({ name: 'lambing  2027' }), 400);
  });

  it('knows the females of its group, when they gave birth last, and the males', async () => {
    const group = await aGroup(t, 'Upland flock');
    const [ewe] = await ewesIn(group, 3);
    await t.post(
      arrival(uuid(), { damId: ewe, bornOn: '2026-11-10', on: '2026-11-10' }),
      arrival(uuid(), { sex: 'male', bornOn: '2023-03-01', on: '2023-03-01' }),
      arrival(uuid(), { sex: 'male', bornOn: '2026-03-01', on: '2026-03-01' }),
    );
    const made = await create(aPlan({ groupId: group }));
    expect(made.animalIds).toHaveLength(3);
    expect(made.femalesInBook).toContainEqual({ bornOn: '2022-04-01', lastBirthOn: '2026-11-10' });
    expect(made.males).toEqual({ grown: 1, young: 1 });
    expect(made.groupName).toBe('Upland flock');
  });

  it('is held against what happened: births and scorings of its females', async () => {
    const group = await aGroup(t, 'Upland flock');
    const ewes = await ewesIn(group, 3);
    await t.post(
      arrival(uuid(), { damId: ewes[0], bornOn: '2026-03-08', on: '2026-03-08' }),
      arrival(uuid(), { damId: ewes[1], bornOn: '2026-03-15', on: '2026-03-15' }),
      fact('score', ewes[0] ?? '', { score: 3, scoredBy: 'Aylin', on: '2025-08-28' }),
    );
    const wanted = { what: 'births', on: '2026-03-10' } as const;
    const made = await create(aPlan({ groupId: group, wanted, matingOn: '2025-10-14' }));
    expect(made.happened).toEqual({
      births: { from: '2026-03-08', to: '2026-03-15', head: 2 },
      'scoring mating': { from: '2025-08-28', to: '2025-08-28', head: 1 },
    });
  });

  it('looks at the males for their check, and at the young for the weaning', async () => {
    const group = await aGroup(t, 'Upland flock');
    const [ewe] = await ewesIn(group, 1);
    const [ram, lamb] = [uuid(), uuid()];
    await t.post(
      arrival(ram, { sex: 'male', bornOn: '2022-03-01', on: '2022-03-01' }),
      arrival(lamb, { damId: ewe, bornOn: '2026-03-12', on: '2026-03-12' }),
      // A look at the ewe's mouth is no check of the ram.
      fact('look', ewe ?? '', { grades: { mouth: 'pass' }, on: '2025-08-19' }),
      fact('male-check', ram, { grades: { feet: 'good' }, on: '2025-08-21' }),
      fact('weaning', lamb, { isDone: true, on: '2026-06-20' }),
    );
    const wanted = { what: 'births', on: '2026-03-10' } as const;
    const { happened } = await create(aPlan({ groupId: group, wanted, matingOn: '2025-10-14' }));
    expect(happened['male-check']).toEqual({ from: '2025-08-21', to: '2025-08-21', head: 1 });
    expect(happened.weaning).toEqual({ from: '2026-06-20', to: '2026-06-20', head: 1 });
  });

  it('stands pale in the band of the year', async () => {
    const plan = await create(aPlan());
    const band = await get<YearBandView>(t, '/api/year-band');
    expect(band.lanes.find((l) => l.species === 'sheep')?.planned).toEqual([]); // mating is next year
    const { id, version, facts } = plan;
    await t
      .http()
      .put(`/api/season/plans/${id}`)
      .send({ ...facts, matingOn: '2026-07-01', wanted: { what: 'births', on: '2026-11-25' }, version })
      .expect(200);
    const sheep = (await get<YearBandView>(t, '/api/year-band')).lanes.find((l) => l.species === 'sheep');
    expect(sheep?.planned).toMatchObject([
      { kind: 'mating', from: '2026-07-01', to: '2026-08-03', planId: id },
      { kind: 'carrying', from: '2026-08-04', to: '2026-11-19' },
      { kind: 'births', from: '2026-11-20' },
      { kind: 'rearing' },
    ]);
  });
});

describe('what is due today', () => {
  const due = async () => (await get<TodayView>(t, '/api/today')).due;

  it('has the scoring of a plan as one press: the right ewes, the right station', async () => {
    const group = await aGroup(t, 'Upland flock');
    const ewes = await ewesIn(group, 2);
    // Mating on 11 January: the round lies about 49 days before, 23 November.
    await create(aPlan({ groupId: group, matingOn: '2027-01-11', wanted: { what: 'births', on: '2027-06-07' } }));
    const work = (await due()).find((d) => d.does.includes('Score'));
    // The ewes were never weighed: whoever comes to be scored is weighed as well.
    expect(work).toMatchObject({
      does: ['Score', 'Weigh'],
      who: { count: 2, words: ['ewe', 'ewes'] },
      group: { name: 'Upland flock' },
      isOpen: true,
      job: { stations: ['weigh', 'score'], settings: { score: { stage: 'mating' } } },
      window: { bestFrom: expect.any(String) },
    });
    expect(new Set(work?.animalIds)).toEqual(new Set(ewes));
    await t.post(...ewes.map((id) => fact('score', id, { score: 3, scoredBy: 'Aylin' })));
    expect((await due()).some((d) => d.does.includes('Score'))).toBe(false);
  });

  it('has a remedy of the plan with its product, and a step that is only done leaves when it is', async () => {
    const group = await aGroup(t, 'Upland flock');
    await ewesIn(group, 2);
    const productId = await aProduct(t);
    const wanted = { what: 'births', on: '2026-12-21' } as const;
    const doses = [{ name: 'Own vaccine', productId, daysBeforeBirth: 28 }];
    const made = await create(aPlan({ groupId: group, matingOn: '2026-07-27', wanted, doses }));
    const work = (await due()).find((d) => d.does.includes('Give Own vaccine to'));
    expect(workTitle(work ?? { does: [], who: null })).toBe(
      'Scan, score, weigh, take blood and give Own vaccine to 2 ewes',
    );
    expect(work?.job).toMatchObject({
      stations: ['weigh', 'score', 'scan', 'treat', 'sample'],
      settings: { treat: { productIds: [productId] } },
    });
    const { id, version, facts } = made;
    await t
      .http()
      .put(`/api/season/plans/${id}`)
      .send({ ...facts, version, done: { 'dose 0': TODAY } })
      .expect(200);
    expect((await due()).some((d) => d.does.includes('Give Own vaccine to'))).toBe(false);
  });

  it('asks for the usual scoring where no plan does', async () => {
    await ewesIn(await aGroup(t, 'Upland flock'), 1);
    expect((await due()).find((d) => d.does.includes('Weigh'))).toMatchObject({
      does: ['Weigh', 'Score'],
      why: ['Grown, twice a year', 'usual scoring'],
    });
  });
});

describe('the calendar', () => {
  const parsed = async () => {
    const { calendarKey } = await view();
    const { text } = await t
      .http()
      .get(`/api/calendar.ics?key=${calendarKey}`)
      .expect('content-type', /text\/calendar/)
      .expect(200);
    const events = new ICAL.Component(ICAL.parse(text) as []).getAllSubcomponents('vevent');
    return events.map((e) => ({ event: new ICAL.Event(e), alarms: e.getAllSubcomponents('valarm').length }));
  };
  const event = async (summary: string) => (await parsed()).find((e) => e.event.summary === summary);

  it('is read by another’s parser, with whole days and the right dates', async () => {
    const plan = await create(aPlan({ matingOn: '2027-10-15', wanted: { what: 'births', on: '2028-03-10' } }));
    const mating = await event('Rams in');
    expect(mating?.event.startDate.isDate).toBe(true);
    expect(mating?.event.startDate.toString()).toBe('2027-10-15');
    expect(mating?.event.endDate.toString()).toBe('2027-11-18'); // the day after the last, 17 November
    expect(mating?.event.uid).toBe(`${plan.id}-mating@yaylak`);
    const count = await event('Scan and count');
    expect([count?.event.startDate.toString(), count?.event.endDate.toString()]).toEqual(['2028-01-01', '2028-01-14']);
    expect(count?.event.description).toContain(
      'Opens 29 Nov 2027, best 1 Jan 2028 to 13 Jan 2028, closes 15 Feb 2028.',
    );
    const round = await event('Score before lambing');
    expect(round?.event.startDate.toString()).toBe('2028-01-24');
  });

  it('says the holding’s own text and rings only where it is wanted', async () => {
    await create(aPlan());
    expect((await event('Rams in'))?.alarms).toBe(0);
    const { version } = await get<{ version: number }>(t, '/api/holding');
    const calendar = { ownText: 'Ask Selin; bring the green book', alarmDays: 2 };
    await t.http().patch('/api/holding').send({ version, calendar }).expect(200);
    const rings = await event('Rams in');
    expect(rings?.alarms).toBe(1);
    expect(rings?.event.description).toContain('Ask Selin; bring the green book');
  });

  it('has what is due by the rhythms as well', async () => {
    await ewesIn(await aGroup(t, 'Upland flock'), 1);
    expect((await parsed()).map((e) => e.event.summary)).toContain('Weigh and score 1 ewe');
  });

  it('is not given to one who does not know its address', async () => {
    await t.http().get('/api/calendar.ics').expect(404);
    await t.http().get('/api/calendar.ics?key=guess').expect(404);
    const { calendarKey } = await view();
    expect(calendarKey).toHaveLength(24);
    expect((await view()).calendarKey).toBe(calendarKey);
  });
});

it('holds plans against hands, pens and days away that are kept with the settings', async () => {
  const { version } = await get<{ version: number }>(t, '/api/holding');
  const resources = {
    workDaysPerWeek: 6,
    birthPens: [{ species: 'sheep', pens: 8 }],
    away: [{ from: '2027-03-01', to: '2027-03-09', why: 'a wedding' }],
    lean: [{ from: '07-15', to: '08-31', why: 'burnt pasture' }],
  };
  const patch = (change: object, status: number) =>
    t
      .http()
      .patch('/api/holding')
      .send({ version, resources: { ...resources, ...change } })
      .expect(status);
  await patch({ away: [{ from: '2027-03-09', to: '2027-03-01', why: 'a wedding' }] }, 400);
  await patch({ lean: [{ from: '02-30', to: '08-31', why: 'x' }] }, 400);
  await patch({ birthPens: [1, 2].map((pens) => ({ species: 'sheep', pens })) }, 400);
  await patch({}, 200);
  expect(await get(t, '/api/holding')).toMatchObject({ resources });
});
