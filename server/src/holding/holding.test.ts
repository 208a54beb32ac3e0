import type { BookFile, AnimalView, HoldingView, MatingView, NextNumbers, Problem } from '@yaylak/contract';
import { SPECIES_TABLE } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { anOutlet, arrival, fact, get, tag, testApp, uuid, weight, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const next = async (query: string): Promise<readonly string[]> =>
  (await get<NextNumbers>(t, `/api/holding/next-numbers/${query}`)).numbers;

it('begins with a holding of its own name and the figures of the species table', async () => {
  expect(await get<HoldingView>(t, '/api/holding')).toMatchObject({
    name: 'My holding',
    unit: 'kg',
    version: 1,
    today: '2026-11-23',
    now: expect.stringMatching(/^2026-11-23T\d\d:\d\d$/),
    overrides: {},
    species: { sheep: { gestationDays: { mean: 147 } } },
    about: { animals: 0, entries: 0 },
  });
});

it('counts the next number past every one that was ever worn in the year', async () => {
  const [a, b] = [uuid(), uuid()];
  await t.post(arrival(a), arrival(b), tag(a, '26-0007'), tag(b, '25-0099'));
  expect(await next('sheep?count=3')).toEqual(['26-0008', '26-0009', '26-0010']);
  expect(await next('goat')).toEqual(['G-26-01']);
});

it('takes the next number out of the bag of the birth year, and refuses a bag that overlaps one of its colour', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), tag(ewe, '26-0040'));
  const bag = (colour: string, first: string, last: string) => ({
    id: uuid(),
    species: 'sheep',
    colour,
    shape: 'flag',
    first,
    last,
  });
  const green = bag('green', '26-0040', '26-0080');
  const keep = (version: number, blankTags: object[]) => t.http().patch('/api/holding').send({ version, blankTags });
  await keep(1, [green]).expect(200);
  expect(await get<NextNumbers>(t, '/api/holding/next-numbers/sheep')).toEqual({
    numbers: ['26-0041'],
    colour: 'green',
  });
  expect(await next('sheep?year=2025')).toEqual(['25-0001']);
  const { body } = await keep(2, [green, bag('green', '26-0080', '26-0099')]).expect(400);
  expect(body.detail).toBe(
    '26-0080 to 26-0099 overlaps the green bag 26-0040 to 26-0080. Give the first number that is not in it.',
  );
  // The same numbers in another colour are other tags.
  await keep(2, [green, bag('pink', '26-0040', '26-0099')]).expect(200);
});

it('writes the letter of the sex where the template asks for it', async () => {
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 1, species: { sheep: { numberTemplate: '{SEX}{YY}{NNN}' } } })
    .expect(200);
  const ewe = uuid();
  await t.post(arrival(ewe), tag(ewe, 'F26004'));
  expect(await next('sheep?sex=female')).toEqual(['F26005']);
  expect(await next('sheep?sex=male')).toEqual(['M26001']);
  expect(await next('sheep?sex=castrate&count=2')).toEqual(['C26001', 'C26002']);
  await t.http().get('/api/holding/next-numbers/sheep?sex=bird').expect(400);
  await t.http().get('/api/holding/next-numbers/dragon').expect(400);
});

it('names every figure of a species that is out of bounds', async () => {
  const { body } = await t
    .http()
    .patch('/api/holding')
    .send({
      version: 1,
      species: {
        sheep: { heaviestKg: 0, gestationDays: { mean: 147, from: 160, to: 152 } },
        goat: { readingSdShare: 2, weaningDays: { opens: 56, bestFrom: 90, bestTo: 80, closes: 120 } },
        rabbit: { weighing: [{ kind: 'every', name: 'Weekly', fromDays: 21, toDays: 120, everyDays: 0 }] },
        cattle: { growthFactors: { ...SPECIES_TABLE.cattle.growthFactors, sex: { female: 1, male: 0, castrate: 1 } } },
      },
    })
    .expect(400);
  expect((body.fields as { field: string }[]).map((f) => f.field)).toEqual([
    'species.sheep.heaviestKg',
    'species.sheep.gestationDays',
    'species.goat.readingSdShare',
    'species.goat.weaningDays',
    'species.rabbit.weighing.0.everyDays',
    'species.cattle.growthFactors.sex.male',
  ]);
  expect(body.detail).toContain('opens, bestFrom, bestTo, closes must rise in that order, not 56, 90, 80, 120');
});

it('takes weighings around what happens to a female, with days before it, in their order', async () => {
  const send = (version: number, event: string, opens: number, closes: number) =>
    t
      .http()
      .patch('/api/holding')
      .send({
        version,
        species: {
          sheep: {
            weighing: [
              { kind: 'around', name: 'Before the ram', event, window: { opens, bestFrom: -21, bestTo: -7, closes } },
            ],
          },
        },
      });
  const fields = async (...asked: [string, number, number]) =>
    ((await send(1, ...asked).expect(400)).body.fields as { field: string }[]).map((f) => f.field);
  const at = 'species.sheep.weighing.0';
  expect(await fields('shearing', -28, 14)).toEqual([`${at}.event`]);
  expect(await fields('mating', -500, 14)).toEqual([`${at}.window.opens`]);
  expect(await fields('mating', -28, -10)).toEqual([`${at}.window`]);
  const { body } = await send(1, 'mating', -28, 14).expect(200);
  expect(body.species.sheep.weighing).toHaveLength(1);
});

it('holds the rules of mating and pairing within their bounds', async () => {
  const { mating, pairing, serviceHours } = SPECIES_TABLE.goat;
  const { body } = await t
    .http()
    .patch('/api/holding')
    .send({
      version: 1,
      species: {
        goat: {
          mating: { ...mating, firstMatingShare: 1.2, signsNeeded: 0, heatSchool: 'by-moon' },
          pairing: { ...pairing, inbreedingMost: -0.1 },
          serviceHours: { ...serviceHours, bestFrom: 50 },
          grownShare: [0.6, 1.5],
        },
      },
    })
    .expect(400);
  expect((body.fields as { field: string }[]).map((f) => f.field)).toEqual([
    'species.goat.mating.firstMatingShare',
    'species.goat.mating.signsNeeded',
    'species.goat.mating.heatSchool',
    'species.goat.pairing.inbreedingMost',
    'species.goat.serviceHours',
    'species.goat.grownShare.1',
  ]);
});

it('takes heat waves, and refuses one that ends before it begins', async () => {
  const resources = (from: string, to: string) => ({
    version: 1,
    resources: { birthPens: [], away: [], lean: [], hot: [{ from, to, why: 'heat' }] },
  });
  const { body } = await t.http().patch('/api/holding').send(resources('2026-07-20', '2026-07-10')).expect(400);
  expect(body.detail).toContain('ends on 2026-07-10, before it begins on 2026-07-20');
  await t.http().patch('/api/holding').send(resources('2026-07-10', '2026-07-20')).expect(200);
});

it('takes every figure of the shipped table as it stands', async () => {
  await t.http().patch('/api/holding').send({ version: 1, species: SPECIES_TABLE }).expect(200);
});

it('keeps in sight the species that are kept and those that are here, and writes the kept into the book’s file', async () => {
  const keeps = async () => (await get<HoldingView>(t, '/api/holding')).keeps;
  expect(await keeps()).toEqual(['sheep', 'goat', 'rabbit', 'cattle']);
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 1, keeps: ['rabbit', 'goat'] })
    .expect(200);
  expect(await keeps()).toEqual(['goat', 'rabbit']);
  await t.post(arrival(uuid(), { species: 'cattle' }));
  expect(await keeps()).toEqual(['goat', 'rabbit', 'cattle']);
  expect((await get<BookFile>(t, '/api/book')).holding.keeps).toEqual(['rabbit', 'goat']);
  for (const bad of [[], ['goat', 'goat'], ['horse'], 'goat'])
    await t.http().patch('/api/holding').send({ version: 2, keeps: bad }).expect(400);
});

it('keeps the order days are typed in, and writes it into the book’s file', async () => {
  expect((await get<HoldingView>(t, '/api/holding')).dateOrder).toBe('day-month');
  await t.http().patch('/api/holding').send({ version: 1, dateOrder: 'year-month' }).expect(200);
  expect((await get<HoldingView>(t, '/api/holding')).dateOrder).toBe('year-month');
  expect((await get<BookFile>(t, '/api/book')).holding.dateOrder).toBe('year-month');
  await t.http().patch('/api/holding').send({ version: 2, dateOrder: 'month' }).expect(400);
});

it('takes the day a week begins on, Monday where none was said, and writes refusals in the order of its days', async () => {
  expect((await get<HoldingView>(t, '/api/holding')).weekStart).toBe('monday');
  const change = { version: 1, weekStart: 'sunday', dateOrder: 'month-day' };
  await t.http().patch('/api/holding').send(change).expect(200);
  expect((await get<HoldingView>(t, '/api/holding')).weekStart).toBe('sunday');
  expect((await get<BookFile>(t, '/api/book')).holding.weekStart).toBe('sunday');
  await t.http().patch('/api/holding').send({ version: 2, weekStart: 'friday' }).expect(400);
  const ewe = uuid();
  const refused = await t
    .http()
    .post('/api/entries')
    .send({ entries: [{ ...arrival(ewe), on: '2099-03-31' }] });
  expect(JSON.stringify(refused.body)).toContain('Mar 31, 2099 is in the future');
  await t.http().patch('/api/holding').send({ version: 2, dateOrder: 'day-month' }).expect(200);
});

it('keeps what is sprayed for each decision, and refuses a colour that is none', async () => {
  const decisionMarks = { keep: { colour: 'green', place: 'back' }, sell: { colour: 'red', place: 'rump' } };
  await t.http().patch('/api/holding').send({ version: 1, decisionMarks }).expect(200);
  expect((await get<HoldingView>(t, '/api/holding')).decisionMarks).toEqual(decisionMarks);
  expect((await get<BookFile>(t, '/api/book')).holding.decisionMarks).toEqual(decisionMarks);
  const odd = { keep: { colour: 'grey', place: 'back' } };
  await t.http().patch('/api/holding').send({ version: 2, decisionMarks: odd }).expect(400);
});

it('speaks in pounds of everything once the holding weighs in pounds, and after a start again', async () => {
  const [ewe, kid] = [uuid(), uuid()];
  await t.http().patch('/api/holding').send({ version: 1, unit: 'lb' }).expect(200);
  const [, , , slip] = await t.post(
    arrival(ewe, { bornOn: '2022-03-01', on: '2022-03-01' }),
    arrival(kid, { species: 'goat', bornOn: '2026-03-20', on: '2026-03-20' }),
    weight(kid, '2026-11-20', 26),
    weight(ewe, '2026-11-20', 2_000),
    weight(ewe, '2026-11-01', 70),
    weight(ewe, '2026-11-21', 60),
  );
  expect(slip).toMatchObject({ status: 'refused', message: expect.stringContaining('4409.25\u00a0lb') as string });
  const said = async () => {
    const { alarm } = await get<AnimalView>(t, `/api/animals/${ewe}`);
    const { females } = await get<MatingView>(t, '/api/mating?species=goat');
    return { alarm, words: females.find((f) => f.tag.animalId === kid)?.reasons[0]?.words };
  };
  const pounds = {
    alarm: expect.stringContaining('from 154.3\u00a0lb to 132.3\u00a0lb') as string,
    words: '57.3\u00a0lb, needs to reach 72.8\u00a0lb first',
  };
  expect(await said()).toEqual(pounds);
  t = await t.again();
  expect(await said()).toEqual(pounds);
});

it('works out nothing anew for a setting no figure hangs on', async () => {
  const { state } = t.app.get(BookService);
  const { version } = (await get<HoldingView>(t, '/api/holding')) as { version: number };
  const before = state.version;
  const named = await t.http().patch('/api/holding').send({ version, name: 'Upper farm' }).expect(200);
  expect(state.version).toBe(before);
  await t.http().patch('/api/holding').send({ version: named.body.version, unit: 'lb' }).expect(200);
  expect(state.version).not.toBe(before);
});

describe('another currency', () => {
  const change = (more: object, status: number) =>
    t
      .http()
      .patch('/api/holding')
      .send({ version: 1, ...more })
      .expect(status);

  it('is taken while the book holds no money', async () => {
    await t.post(arrival(uuid()));
    await change({ currency: 'USD' }, 200);
  });

  it('is refused where figures would be read as another money, until it is said that they were meant so', async () => {
    const [bought, sold] = [uuid(), uuid()];
    await t.post(
      arrival(bought, { boughtMinor: 9_000 }),
      arrival(sold),
      fact('departure', sold, { how: 'sold', priceMinor: 11_000 }),
    );
    await t
      .http()
      .post('/api/selling/outlets')
      .send({ id: uuid(), ...anOutlet() })
      .expect(201);
    const { body } = await change({ currency: 'USD' }, 400);
    expect((body as Problem).fields).toEqual([
      {
        field: 'currency',
        message:
          'Currency: 1 outlet, 2 animals have money in EUR, and no figure is converted. ' +
          'Keep EUR; or, where the figures were meant in USD all along, say so and save again.',
      },
    ]);
    expect(await get<HoldingView>(t, '/api/holding')).toMatchObject({ currency: 'EUR', version: 1 });
    // The same letters are no change, and another setting is free.
    await change({ currency: 'EUR', name: 'Upper place' }, 200);
    await change({ currency: 'USD', keepsFigures: true, version: 2 }, 200);
    expect(await get<HoldingView>(t, '/api/holding')).toMatchObject({ currency: 'USD' });
  });
});
