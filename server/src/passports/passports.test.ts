import type { AnimalView, PassportFile, PassportsRead } from '@yaylak/contract';
import {
  aProduct,
  arrival,
  fact,
  get,
  strike,
  tag,
  testApp,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let seller: TestApp;
let buyer: TestApp;
beforeEach(async () => {
  [seller, buyer] = await Promise.all([testApp(), testApp()]);
});
afterEach(() => Promise.all([seller.close(), buyer.close()]));

const [dam, sire, doe] = [uuid(), uuid(), uuid()];

/** A doe with her parents, her weights, a gene test, a wormer that withholds her meat, and a note nobody else reads. */
async function aDoe(): Promise<{ readonly product: string }> {
  const product = await aProduct(seller);
  const born = { species: 'goat', bornOn: '2025-03-01', on: '2025-03-01' } as const;
  await seller.post(
    arrival(dam, { species: 'goat', bornOn: '2022-03-01', on: '2022-03-01' }),
    tag(dam, 'G-22-04'),
    arrival(sire, { species: 'goat', sex: 'male', bornOn: '2022-03-02', on: '2022-03-02' }),
    tag(sire, 'G-22-R1'),
  );
  await seller.post(
    arrival(doe, { ...born, damId: dam, sireId: sire, birthType: 2, strain: 'Brown dairy' }),
    tag(doe, 'G-25-20'),
    weight(doe, '2026-11-01', 41),
    fact('score', doe, { on: '2026-11-01', score: 3, scoredBy: 'Ayla' }),
    fact('gene-test', doe, { on: '2026-05-01', gene: 'curly hooves', result: 'free' }),
    treatment(doe, product, { on: '2026-11-20', meatDays: 14 }),
    fact('note', doe, { on: '2026-11-01', text: 'kicks' }),
  );
  return { product };
}
const passports = (ids = [doe]): Promise<PassportFile> => get(seller, `/api/passports?ids=${ids.join(',')}`);
const read = async (file: unknown, mode: 'check' | 'keep' = 'keep', status = 200): Promise<PassportsRead> =>
  (
    await buyer
      .http()
      .post(`/api/passports?mode=${mode}`)
      .send(file as object)
      .expect(status)
  ).body as PassportsRead;

it('goes from one book to another with the history, and stands on the animal’s page there', async () => {
  await aDoe();
  const file = await passports();
  expect(file).toMatchObject({ format: 'yaylak-passport', products: [{ facts: {} }] });
  const done = await read(file);
  expect(done.animals).toMatchObject([{ number: 'G-25-20', status: 'new', message: null, history: 5 }]);
  const page = await get<AnimalView>(buyer, `/api/animals/${doe}`);
  expect(page.row).toMatchObject({
    tag: { text: 'G-25-20' },
    birthType: 2,
    dam: { text: 'G-22-04' },
    sire: { text: 'G-22-R1' },
  });
  const kinds = page.timeline.map(({ entry }) => entry.type);
  expect(kinds.toSorted()).toEqual(['arrival', 'gene-test', 'identifier', 'score', 'treatment', 'weight']);
  expect(page.timeline.find(({ entry }) => entry.type === 'arrival')?.entry).toMatchObject({
    how: 'bought',
    strain: 'Brown dairy',
  });
  // What was given there still withholds her here.
  expect(page.withheld).toMatchObject([{ of: 'meat', until: '2026-12-04' }]);
});

it('has her parents known by their numbers, and the remedy on the list, closed', async () => {
  const { product } = await aDoe();
  await read(await passports());
  const { rows } = await get<{ rows: unknown[] }>(buyer, '/api/animals?species=goat');
  expect(rows).toHaveLength(1);
  const { products } = await get<{ products: object[] }>(buyer, '/api/remedies');
  expect(products).toMatchObject([{ id: product, isClosed: true }]);
});

it('tells her dam from one that is here and wears the same number', async () => {
  await aDoe();
  const mine = uuid();
  await buyer.post(arrival(mine, { species: 'goat' }), tag(mine, 'G-22-04'));
  const file = await passports();
  expect(await read({ ...file, from: 'Stony farm' })).toMatchObject({ animals: [{ status: 'new' }] });
  const { row } = await get<AnimalView>(buyer, `/api/animals/${doe}`);
  expect(row.dam).toMatchObject({ animalId: dam, text: 'G-22-04 of Stony farm' });
});

it('takes what a file leaves out as what it leaves empty', async () => {
  const id = uuid();
  const bare = { id, species: 'goat', sex: 'female', parents: [{ role: 'dam', id: uuid() }], entries: [{}] };
  const file = { format: 'yaylak-passport', formatVersion: 1, from: 'Hill farm', madeOn: '2026-11-20', products: [] };
  expect((await read({ ...file, animals: [bare] }, 'check')).animals).toMatchObject([
    { id, bornOn: null, status: 'new' },
  ]);
  expect((await read({ ...file, animals: [bare] })).animals).toMatchObject([{ id, status: 'new' }]);
  const { row } = await get<AnimalView>(buyer, `/api/animals/${id}`);
  expect(row).toMatchObject({ bornOn: null, birthType: null, dam: { animalId: bare.parents[0]?.id } });
});

it('changes nothing when it is only looked at, or read twice, and can be taken back', async () => {
  await aDoe();
  const file = await passports();
  expect(await read(file, 'check')).toMatchObject({ animals: [{ status: 'new' }], keptIds: [] });
  await buyer.http().get(`/api/animals/${doe}`).expect(404);
  const first = await read(file);
  expect(await read(file)).toMatchObject({ animals: [{ status: 'here' }], keptIds: [] });
  await buyer.post(...first.keptIds.toReversed().map((entryId) => strike(entryId)));
  expect(await read(file, 'check')).toMatchObject({ animals: [{ status: 'new' }] });
});

it('says of each that is refused why, and takes the others', async () => {
  await aDoe();
  const other = uuid();
  await seller.post(arrival(other, { species: 'goat' }), tag(other, 'G-25-21'));
  const mine = uuid();
  await buyer.post(arrival(mine, { species: 'goat' }), tag(mine, 'G-25-20'));
  const { animals } = await read(await passports([doe, other]));
  expect(animals.map((a) => [a.number, a.status])).toEqual([
    ['G-25-20', 'refused'],
    ['G-25-21', 'new'],
  ]);
  expect(animals[0]?.message).toMatch(/G-25-20/);
  await buyer.http().get(`/api/animals/${doe}`).expect(404);
});

it.each<[string, (file: PassportFile) => object]>([
  ['another format', (file) => ({ ...file, format: 'something' })],
  ['no animal', (file) => ({ ...file, animals: [] })],
  ['an animal twice', (file) => ({ ...file, animals: [...file.animals, ...file.animals] })],
  [
    'an animal of no species',
    ({ animals, ...file }) => ({ ...file, animals: animals.map((a) => ({ ...a, species: 'yak' })) }),
  ],
])('is refused as a whole with %s', async (_, change) => {
  await aDoe();
  await read(change(await passports()), 'keep', 400);
});

it('takes no entry along that is of another animal or of a kind that stays at home', async () => {
  await aDoe();
  const victim = uuid();
  await buyer.post(arrival(victim, { species: 'goat' }));
  const file = await passports();
  const [animal] = file.animals;
  const slipped = [
    ...(animal?.entries ?? []),
    { ...weight(victim, '2026-11-02', 99), id: uuid() },
    fact('departure', victim, { how: 'died' }),
  ];
  await read({ ...file, animals: [{ ...animal, entries: slipped }] });
  const page = await get<AnimalView>(buyer, `/api/animals/${victim}`);
  expect(page.timeline.map(({ entry }) => entry.type)).toEqual(['arrival']);
});
