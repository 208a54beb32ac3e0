import type { Entry, ProductView, RegisterView, RemediesView, RosterView, TagsView } from '@yaylak/contract';
import {
  aGroup,
  aProduct,
  arrival,
  departure,
  get,
  move,
  strike,
  tag,
  testApp,
  TODAY,
  treatment,
  uuid,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const view = () => get<RemediesView>(t, '/api/remedies');
const register = (query = '') => get<RegisterView>(t, `/api/remedies/register${query}`);

describe('the list of products', () => {
  it('keeps a label, and its stock goes down with what is given', async () => {
    const id = await aProduct(t, { batches: [{ batch: 'K1', expiresOn: '2027-05-31', amount: 100 }], lowAt: 92 });
    const ewe = uuid();
    await t.post(arrival(ewe), treatment(ewe, id, { amount: 8.5, batch: 'K1' }));
    expect((await view()).products).toMatchObject([
      { id, left: 91.5, isLow: true, batches: [{ batch: 'K1', left: 91.5, state: 'good', expiresOn: '2027-05-31' }] },
    ]);
  });

  it('does not count what has expired as stock', async () => {
    await aProduct(t, { batches: [{ batch: 'old', expiresOn: '2026-11-22', amount: 100 }] });
    expect((await view()).products).toMatchObject([{ left: 0, batches: [{ state: 'expired' }] }]);
  });

  it.each<[string, object, string]>([
    ['a dose without its figure', { doses: [{ species: 'sheep', by: 'kg' }] }, 'has no figure'],
    [
      'a species dosed twice',
      { doses: [1, 2].map((n) => ({ species: 'sheep', by: 'kg', perKg: n })) },
      'stands there twice',
    ],
    [
      'a withdrawal for a route it is not given by',
      { withdrawals: [{ species: 'sheep', route: 'eye' }] },
      'does not give',
    ],
    ['a step of nothing', { step: 0 }, 'step'],
    ['less at one place than the syringe measures', { step: 0.5, maxPerSite: 0.2 }, 'less than the syringe’s step'],
    ['no route', { routes: [] }, 'routes'],
  ])('refuses %s and says which', async (_, change, words) => {
    const answer = await t.http().post('/api/remedies/products').send(aLabelWith(change)).expect(400);
    expect(JSON.stringify(answer.body)).toContain(words);
  });

  it('refuses a second of the same name, and a change made on an old version', async () => {
    const id = await aProduct(t);
    await t
      .http()
      .post('/api/remedies/products')
      .send(aLabelWith({ name: 'white  drench' }))
      .expect(400, /already/);
    const [known] = (await view()).products as [ProductView];
    const change = (version: number) =>
      t
        .http()
        .put(`/api/remedies/products/${id}`)
        .send({ ...known.facts, name: 'Drench', version });
    await change(1).expect(200);
    await change(1).expect(409, /Drench/);
  });

  it('takes one out again that was never given, and no other', async () => {
    const [unused, used, ewe] = [await aProduct(t), await aProduct(t, { name: 'Other' }), uuid()];
    await t.post(arrival(ewe), treatment(ewe, used));
    await t.http().delete(`/api/remedies/products/${unused}`).expect(204);
    await t
      .http()
      .delete(`/api/remedies/products/${used}`)
      .expect(409, /register speaks of it/);
  });
});

describe('a treatment', () => {
  it('withholds the animal wherever it is shown, to the end of the last counted day', async () => {
    const [id, ewe] = [await aProduct(t), uuid()];
    await t.post(
      arrival(ewe, { bornOn: '2024-04-01', on: '2024-04-01' }),
      tag(ewe, '26-0001'),
      treatment(ewe, id, { on: '2026-11-20', meatDays: 14, milkDays: 3 }),
    );
    const withheld = { meat: '2026-12-04', milk: '2026-11-23' };
    expect((await view()).withheld).toMatchObject([
      { of: 'milk', until: '2026-11-23', clearFrom: '2026-11-24' },
      { of: 'meat', until: '2026-12-04', clearFrom: '2026-12-05', product: 'White drench' },
    ]);
    expect(await get(t, '/api/animals')).toMatchObject({ rows: [{ tag: { withheld } }] });
    expect(await get<TagsView>(t, '/api/tags')).toMatchObject({ needs: [{ tag: { withheld } }] });
    const roster = await get<RosterView>(t, '/api/roster');
    expect(roster.animals[0]?.withheld).toContainEqual({ of: 'meat', until: '2026-12-04', product: 'White drench' });
  });

  it('keeps its withdrawal when the label changes later, and gives it up when it is struck out', async () => {
    const [id, ewe] = [await aProduct(t), uuid()];
    const given = treatment(ewe, id, { meatDays: 14 });
    await t.post(arrival(ewe), given);
    const [known] = (await view()).products as [ProductView];
    await t
      .http()
      .put(`/api/remedies/products/${id}`)
      .send({ ...known.facts, version: 1, withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 60 }] })
      .expect(200);
    expect((await view()).withheld).toMatchObject([{ until: '2026-12-07' }]);
    await t.post(strike(given.id));
    expect((await view()).withheld).toEqual([]);
  });

  it('lets nobody go for slaughter while meat is withheld, and nobody be sold without a word to the buyer', async () => {
    const [id, ewe, wether] = [await aProduct(t), uuid(), uuid()];
    await t.post(
      arrival(ewe),
      arrival(wether, { sex: 'castrate' }),
      ...[ewe, wether].map((one) => treatment(one, id, { on: '2026-11-20', meatDays: 14, milkDays: 0 })),
    );
    const left = (animalId: string, change: object) => ({ ...departure(animalId, '2026-11-23'), ...change }) as Entry;
    expect((await t.post(left(ewe, { how: 'slaughtered' })))[0]).toMatchObject({
      status: 'refused',
      message: expect.stringContaining('from 5 Dec 2026') as string,
    });
    expect((await t.post(left(ewe, {})))[0]).toMatchObject({
      status: 'refused',
      message: expect.stringMatching(/^Meat or milk is withheld to the end of 4 Dec 2026/) as string,
    });
    expect(await get(t, `/api/animals/${ewe}/withheld?on=2026-11-23`)).toEqual([
      { of: 'meat', from: '2026-11-20', until: '2026-12-04', clearFrom: '2026-12-05', product: 'White drench' },
    ]);
    expect((await t.post(left(ewe, { toldUntil: '2026-12-04' })))[0]).toMatchObject({ status: 'kept' });
    expect(await get(t, `/api/animals/${ewe}`)).toMatchObject({
      departed: { how: 'sold', toldUntil: '2026-12-04' },
      withheld: [{ until: '2026-12-04' }],
    });
    // What is recorded afterwards is kept, and shown on its page.
    const clear = uuid();
    await t.post(arrival(clear), left(clear, { how: 'slaughtered' }));
    await t.post(treatment(clear, id, { on: '2026-11-20', meatDays: 14 }));
    expect(await get(t, `/api/animals/${clear}`)).toMatchObject({ withheld: [{ of: 'meat', until: '2026-12-04' }] });
    await t.http().get(`/api/animals/${ewe}/withheld?on=never`).expect(400);
  });

  it.each<[string, object, string]>([
    ['of a product not on the list', { productId: '0191d5a0-0000-7000-8000-000000000009' }, 'not on the list'],
    ['of nothing', { amount: 0 }, 'is not possible'],
    ['of twice the label’s dose, without a reason', { amount: 17, meatDays: 14 }, 'times the label’s 8.2 ml'],
    ['without the days of its label', {}, 'The withdrawal for meat is missing'],
    ['off the label without the vet’s figure', { isOffLabel: true }, 'the days your vet gave'],
  ])('%s is refused', async (_, change, words) => {
    const [id, ewe] = [await aProduct(t), uuid()];
    await t.post(arrival(ewe));
    expect(await t.post(treatment(ewe, id, { meatDays: undefined, ...change }))).toMatchObject([
      { status: 'refused', message: expect.stringContaining(words) },
    ]);
  });

  it('off the label with the vet’s figure is kept and stands so in the register', async () => {
    const [id, ewe] = [await aProduct(t), uuid()];
    await t.post(arrival(ewe), treatment(ewe, id, { isOffLabel: true, meatDays: 60, prescribedBy: 'the vet' }));
    t = await t.again();
    expect((await register()).rows).toMatchObject([
      { isOffLabel: true, prescribedBy: 'the vet', meatUntil: '2027-01-22' },
    ]);
  });
});

describe('the register', () => {
  it('has the newest first, by date, product and animal, without what was struck out', async () => {
    const [a, b, ewe, ram] = [await aProduct(t), await aProduct(t, { name: 'Drops' }), uuid(), uuid()];
    const wrong = treatment(ewe, b, { on: '2026-10-01' });
    await t.post(
      arrival(ewe),
      arrival(ram, { sex: 'male' }),
      tag(ewe, '26-0001'),
      treatment(ewe, a, { on: '2026-09-01' }),
      treatment(ram, b, { on: '2026-11-01' }),
      wrong,
      strike(wrong.id),
    );
    const days = async (query: string) => (await register(query)).rows.map((r) => r.on);
    expect(await days('')).toEqual(['2026-11-01', '2026-09-01']);
    expect(await days('?from=2026-10-01')).toEqual(['2026-11-01']);
    expect(await days(`?productId=${a}`)).toEqual(['2026-09-01']);
    expect(await days(`?animalId=${ram}&to=2026-11-01`)).toEqual(['2026-11-01']);
    await t.http().get('/api/remedies/register?from=yesterday').expect(400);
  });

  it('is written as CSV, with formula cells neutralised', async () => {
    const [id, ewe] = [await aProduct(t, { name: '=Drench' }), uuid()];
    await t.post(arrival(ewe), tag(ewe, '26-0001'), treatment(ewe, id, { reason: '+worms', meatDays: 14 }));
    const { text } = await t.http().get('/api/remedies/register.csv').expect(200).expect('content-type', /csv/);
    expect(text.split('\r\n')[1]).toBe(
      "2026-11-23,26-0001,26-0001,sheep,'=Drench,K1,8.5,ml,mouth,41,scale,'+worms,,Aylin,no,2026-12-07,",
    );
  });
});

describe('what is to be given again', () => {
  it('is the next dose of a course, in its window', async () => {
    const [id, ewe] = [await aProduct(t, { course: { times: 2, everyDays: 28 } }), uuid()];
    await t.post(arrival(ewe), tag(ewe, '26-0001'), treatment(ewe, id, { on: '2026-11-01' }));
    expect((await view()).due).toMatchObject([
      { nth: 2, animalIds: [ewe], window: { bestFrom: '2026-11-29' }, isOpen: false },
    ]);
  });

  it('is the half-yearly bolus for those of its groups that had none yet', async () => {
    const group = await aGroup(t, 'Upland flock');
    const id = await aProduct(t, { kind: 'bolus', planMonths: [5, 11], planGroupIds: [group] });
    const [a, b] = [uuid(), uuid()];
    await t.post(arrival(a), arrival(b), move(a, group), move(b, group), treatment(a, id, { on: '2026-11-05' }));
    expect((await view()).due).toMatchObject([
      { nth: null, animalIds: [b], done: 1, groupName: 'Upland flock', window: { closes: '2026-11-30' }, isOpen: true },
    ]);
    await t.post(treatment(b, id, { on: TODAY }));
    expect((await view()).due).toEqual([]);
  });
});

const aLabelWith = (change: object): object => ({
  id: uuid(),
  name: 'White drench 2',
  kind: 'remedy',
  doseUnit: 'ml',
  doses: [],
  step: 0.5,
  rounding: 'up',
  routes: ['mouth'],
  withdrawals: [],
  batches: [],
  ...change,
});
