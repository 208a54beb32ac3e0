import type { ProductFacts } from '@yaylak/contract';
import { draftOf, readBands, readProduct, type ProductDraft } from './productDraft';

const FULL: ProductFacts = {
  name: 'White drench',
  kind: 'remedy',
  active: 'wormer',
  form: 'drench',
  concentration: '25 mg/ml',
  doseUnit: 'ml',
  doses: [
    { species: 'sheep', by: 'kg', perKg: 0.2 },
    {
      species: 'cattle',
      by: 'band',
      bands: [
        { upToKg: 150, amount: 15 },
        { upToKg: 300.5, amount: 30 },
      ],
    },
  ],
  step: 0.5,
  rounding: 'up',
  maxPerSite: 10,
  routes: ['mouth', 'skin'],
  withdrawals: [
    { species: 'sheep', route: 'mouth', meatDays: 14, milkDays: 5 },
    { species: 'sheep', route: 'skin', meatDays: 3 },
    { species: 'cattle', route: 'mouth', meatDays: 0 },
  ],
  course: { times: 2, everyDays: 28 },
  prescribedBy: 'Vet of the valley',
  batches: [{ batch: 'K1', expiresOn: '2027-05-31', amount: 1000 }],
  lowAt: 100,
  planMonths: [5, 11],
  planGroupIds: ['g1'],
};

it('a label opened and saved again is the same label, by every way it is given', () => {
  expect(readProduct(draftOf(FULL))).toEqual({ kind: 'facts', facts: FULL });
});

it('a label is read in pounds, and what is not touched is not reckoned over and back', () => {
  const kg: ProductFacts = { ...FULL, doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }] };
  const draft = draftOf(kg, 'lb');
  expect(draft.doses.sheep.text).toBe('0.09072'); // 0.2 ml a kilogram
  expect(readProduct(draft, 'lb', kg)).toEqual({ kind: 'facts', facts: kg });
  const typed = {
    ...draft,
    doses: {
      ...draft.doses,
      sheep: { ...draft.doses.sheep, text: '0.1' },
      goat: { by: 'band' as const, text: '66: 6', fromDays: '', fromKg: '', days: {} },
    },
  };
  const read = readProduct(typed, 'lb', kg);
  expect(read.kind === 'facts' && read.facts.doses).toEqual([
    { species: 'sheep', by: 'kg', perKg: expect.closeTo(0.1 / 0.45359237, 12) },
    { species: 'goat', by: 'band', bands: [{ upToKg: expect.closeTo(66 * 0.45359237, 12), amount: 6 }] },
  ]);
});

it.each<[string, Partial<ProductDraft>, string]>([
  ['no name', { name: ' ' }, 'Name: type what stands on the bottle.'],
  ['a step of nothing', { step: '0' }, 'Syringe step'],
  ['a step that is not a figure', { step: 'half' }, 'Syringe step: “half” is not a figure.'],
  ['less at one place than the syringe measures', { step: '0.5', maxPerSite: '0.2' }, 'less than the syringe’s step'],
  ['no way to give it', { routes: [] }, 'Given: choose at least one way.'],
  ['half a course', { everyDays: '' }, 'A course needs both'],
  [
    'a batch without a number',
    { batches: [{ batch: '', expiresOn: '', amount: '5', paid: '' }] },
    'Batch: type the number',
  ],
  [
    'a price that is none',
    { batches: [{ batch: 'K', expiresOn: '', amount: '5', paid: 'dear' }] },
    'Batch K, paid: “dear” is not an amount.',
  ],
  [
    'a batch of a day that is none',
    { batches: [{ batch: 'K', expiresOn: '2027-02-29', amount: '5', paid: '' }] },
    'is not a date',
  ],
  [
    'a dose without its figure',
    { doses: { ...draftOf(FULL).doses, goat: { by: 'kg', text: '', fromDays: '', fromKg: '', days: {} } } },
    'Dose, goat: type what the label says.',
  ],
  [
    'bands nobody can read',
    { doses: { ...draftOf(FULL).doses, goat: { by: 'band', text: 'small: 5', fromDays: '', fromKg: '', days: {} } } },
    'is not a list of bands',
  ],
  [
    'half a day of withdrawal',
    {
      doses: {
        ...draftOf(FULL).doses,
        goat: { by: 'head', text: '1', fromDays: '', fromKg: '', days: { mouth: { meat: '1.5', milk: '' } } },
      },
    },
    'Meat, goat: “1.5” is not whole.',
  ],
])('%s is named', (_, change, words) => {
  const read = readProduct({ ...draftOf(FULL), ...change });
  expect(read.kind === 'faults' ? read.faults.join(' ') : 'taken').toContain(words);
});

it.each([
  [
    '30: 6, 60: 12',
    [
      { upToKg: 30, amount: 6 },
      { upToKg: 60, amount: 12 },
    ],
  ],
  [
    '30:6; 60,5: 12,5',
    [
      { upToKg: 30, amount: 6 },
      { upToKg: 60.5, amount: 12.5 },
    ],
  ],
  ['30', undefined],
  ['30: 0', undefined],
  ['', undefined],
])('bands %j are %j', (text, bands) => {
  expect(readBands(text)).toEqual(bands);
});
