import type { SaleSheetView } from '@yaylak/contract';
import { aProduct, arrival, fact, get, tag, testApp, treatment, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const sheet = (...ids: readonly string[]): Promise<SaleSheetView> =>
  get<SaleSheetView>(t, `/api/selling/sheet?ids=${ids.join(',')}`);

it('names parents and their parents, and how inbred one is where both parents are known', async () => {
  const [old, dam, sire, lamb] = [uuid(), uuid(), uuid(), uuid()];
  const born = (year: number, more: object = {}) => ({ bornOn: `${year}-04-01`, on: `${year}-04-01`, ...more });
  await t.post(
    arrival(old, born(2020, { sex: 'male' })),
    arrival(dam, born(2022, { sireId: old })),
    arrival(sire, born(2023, { sex: 'male', sireId: old })),
    arrival(lamb, born(2026, { damId: dam, sireId: sire })),
    tag(old, '20-R01'),
    tag(dam, '22-0004'),
    tag(sire, '23-R02'),
    tag(lamb, '26-0031'),
  );
  const [row, ofDam] = (await sheet(lamb, dam)).rows;
  expect(row).toMatchObject({
    number: '26-0031',
    dam: '22-0004',
    sire: '23-R02',
    damDam: null,
    damSire: '20-R01',
    sireDam: null,
    sireSire: '20-R01',
    // Half brother and sister.
    inbreeding: 0.125,
  });
  expect(ofDam).toMatchObject({ dam: null, sire: '20-R01', inbreeding: null });
  const unknown = uuid();
  await t.post(arrival(unknown, born(2025, { damId: await bought('bought ewe'), sireId: old })));
  // Both parents are there and nothing is known of theirs.
  expect((await sheet(unknown)).rows).toMatchObject([{ dam: 'bought ewe', sire: '20-R01', inbreeding: null }]);
});

async function bought(number: string): Promise<string> {
  const id = uuid();
  await t.post(arrival(id, { bornOn: '2021-04-01', on: '2021-04-01' }), tag(id, number));
  return id;
}

it('says with each treatment how long it is withheld, and nothing where nothing was written down', async () => {
  const ewe = uuid();
  const drench = await aProduct(t, { withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14, milkDays: 4 }] });
  await t.post(
    arrival(ewe),
    treatment(ewe, drench, { on: '2026-11-01', meatDays: 14, milkDays: 4 }),
    treatment(ewe, drench, { on: '2026-11-20', meatDays: 0 }),
    fact('gene-test', ewe, { on: '2026-06-01', gene: 'spider', result: 'free', method: 'dna' }),
  );
  const [row] = (await sheet(ewe)).rows;
  expect(row?.treatments).toMatchObject([
    { on: '2026-11-01', meatUntil: '2026-11-15', milkUntil: '2026-11-05' },
    { on: '2026-11-20', meatUntil: '2026-11-20', milkUntil: null },
  ]);
  expect(row?.withheld).toEqual([]);
});
