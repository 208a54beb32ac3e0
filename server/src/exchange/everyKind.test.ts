import { ENTRY_TYPES, type BookFile, type Entry, type EntryType } from '@yaylak/contract';
import { COMMON, EXAMPLES } from '@yaylak/contract/examples';
import { readEntries, type KeptEntry } from '../book/readEntries';
import { shapeEntry } from '../book/shape';
import { refusalOf } from '../tests/bookRefusal';
import { aJob, anOutlet, aRollingPlan, aTemplate, testApp, TODAY, uuid } from '../tests/testApp';

describe('a book with every kind of entry', () => {
  const ids = Object.fromEntries(
    ['ewe', 'ram', 'lamb', 'group', 'job', 'product', 'identifier', 'stay', 'reservation', 'sample', 'weight'].map(
      (k) => [k, uuid()],
    ),
  ) as Record<string, string>;
  const REFERS: Readonly<Record<string, unknown>> = {
    jobId: ids.job,
    groupId: ids.group,
    productId: ids.product,
    damId: ids.ewe,
    donorId: ids.ewe,
    sireId: ids.ram,
    maleIds: [ids.ram],
    identifierId: ids.identifier,
    stayId: ids.stay,
    reservationId: ids.reservation,
    sampleId: ids.sample,
    entryId: ids.weight,
  };
  const whole = (type: EntryType, change: object = {}): Entry => {
    const entry = { ...COMMON, type, ...(type === 'strike' ? {} : { animalId: ids.ewe }), ...EXAMPLES[type] };
    const known = Object.entries(entry).map(([field, v]) => [field, REFERS[field] ?? v]);
    return { ...Object.fromEntries(known), id: uuid(), ...change } as Entry;
  };
  /** Without what may be missing. */
  const bare = (type: EntryType, change: object = {}): Entry => {
    let entry = { ...whole(type), id: uuid(), ...change } as Entry;
    for (const field of Object.keys(entry)) {
      const { [field as keyof Entry]: _, ...less } = entry;
      if (shapeEntry(less).kind === 'entry') entry = less as Entry;
    }
    return entry;
  };
  const animal = (id: string, change: object = {}) => ({
    id,
    species: 'sheep',
    sex: 'female',
    bornOn: null,
    damId: null,
    donorId: null,
    sireId: null,
    birthType: null,
    rearingType: null,
    strain: null,
    version: 1,
    ...change,
  });
  const MORE = ENTRY_TYPES.filter((type) => type !== 'arrival' && type !== 'strike');
  const other = uuid();
  const { id: planId, ...planFacts } = aRollingPlan();
  const FIRST = [
    whole('arrival', {
      animalId: ids.lamb,
      bornOn: '2026-04-01',
      on: '2026-04-01',
      birthType: 2,
      rearingType: 1,
      strain: 'Hill',
      boughtMinor: 14_000,
      birthKnownTo: 'month',
    }),
    bare('arrival', { animalId: ids.ewe, on: '2023-04-01' }),
    bare('arrival', { animalId: ids.ram, on: '2023-04-01', sex: 'male' }),
    whole('identifier', { id: ids.identifier }),
    whole('stay', { id: ids.stay, animalId: ids.ram }),
    whole('reservation', { id: ids.reservation, animalId: ids.ram }),
    whole('sample', { id: ids.sample, tube: 'B-001' }),
    whole('weight', { id: ids.weight }),
    whole('weight', { id: other }),
  ];
  const file = {
    format: 'yaylak-book',
    formatVersion: 1,
    holding: {
      name: 'Upper farm',
      keeper: 'Aylin',
      unit: 'lb',
      currency: 'EUR',
      pointsWeights: { growth: 0.5, damRecord: 0.3, lastGain: 0.2 },
      species: { sheep: { gestationDays: { mean: 148, from: 143, to: 153 } } },
      standards: [{ id: 'mouth', name: 'Mouth', kind: 'go', species: 'sheep', sexes: ['female'], fails: 'overshot' }],
      blankTags: [{ id: 'a', species: 'sheep', colour: 'yellow', shape: 'flag', first: '26-001', last: '26-040' }],
      scorers: { setRight: ['Kerem'] },
      resources: { birthPens: [], away: [], lean: [] },
      calendar: {},
      calendarKey: 'abcdefghijklmnop',
      version: 4,
    },
    groups: [{ id: ids.group, name: 'Ewes', species: 'sheep', isClosed: false, version: 3 }],
    jobs: [
      {
        ...aJob({ id: ids.job, isForItsDay: true, animalIds: [ids.ewe] }),
        finishedAt: null,
        discardedAt: `${TODAY}T09:00:00.000Z`,
      },
    ],
    products: [
      {
        id: ids.product,
        facts: {
          name: 'White drench',
          kind: 'remedy',
          doseUnit: 'ml',
          doses: [],
          step: 0.5,
          rounding: 'up',
          routes: ['mouth'],
          withdrawals: [],
          batches: [],
        },
        isClosed: true,
        version: 2,
      },
    ],
    plans: [{ id: planId, facts: planFacts, version: 5 }],
    drills: [{ id: uuid(), on: TODAY, by: 'Kerem', answers: [{ caseId: 'ewe-1', score: 3 }] }],
    changes: [
      {
        id: uuid(),
        at: '2026-11-20T08:00:00.000Z',
        by: 'Kerem',
        what: 'product',
        thingId: uuid(),
        before: { 'withdrawals.0.meatDays': 28, isClosed: false },
        after: { 'withdrawals.0.meatDays': 35, isClosed: true },
      },
      {
        id: uuid(),
        at: '2026-11-20T08:00:00.000Z',
        by: 'Kerem',
        what: 'group',
        thingId: uuid(),
        after: { name: 'Hoggs' },
      },
    ],
    templates: [aTemplate('Mine')],
    outlets: [{ id: uuid(), facts: anOutlet(), isClosed: true, version: 3 }],
    loads: [{ id: uuid(), facts: { outletId: uuid(), on: '2026-12-04', animalIds: [] }, version: 2 }],
    animals: [
      animal(ids.lamb as string, {
        bornOn: '2026-04-01',
        damId: ids.ewe,
        donorId: ids.ewe,
        sireId: ids.ram,
        birthType: 2,
        rearingType: 1,
        strain: 'Hill',
        boughtMinor: 14_000,
        birthKnownTo: 'month',
      }),
      animal(ids.ewe as string, { version: 7 }),
      animal(ids.ram as string, { sex: 'male' }),
    ].sort((a, b) => (a.id < b.id ? -1 : 1)),
    entries: [
      ...FIRST,
      ...MORE.flatMap((type) => [whole(type), bare(type)]),
      whole('strike', { entryId: ids.weight }),
      bare('strike', { entryId: other }),
    ],
  };
  let out: BookFile;
  let texts: string[];
  let pages: KeptEntry[][];
  beforeAll(async () => {
    texts = [];
    let text = JSON.stringify(file);
    for (let i = 0; i < 2; i++) {
      const app = await testApp();
      expect(await refusalOf(app, text)).toBeUndefined();
      ({ text } = await app.http().get('/api/book').expect(200));
      texts.push(text);
      const em = app.orm.em.fork();
      pages = [await readEntries(em, { all: true }), await readEntries(em, { all: true }, undefined, 1)];
      await app.close();
    }
    out = JSON.parse(texts[0] as string) as BookFile;
  });

  it.each(ENTRY_TYPES)('keeps %s, whole and bare', (type) => {
    const of = (list: readonly Entry[]): readonly Entry[] => list.filter((e) => e.type === type);
    expect(of(out.entries)).toEqual(of(file.entries));
    expect(of(out.entries).length).toBeGreaterThanOrEqual(2);
  });
  it.each([
    'holding',
    'groups',
    'jobs',
    'products',
    'plans',
    'drills',
    'changes',
    'templates',
    'outlets',
    'loads',
    'animals',
  ] as const)('keeps its %s', (part) => {
    expect(out[part]).toEqual(file[part]);
  });
  it('is read the same in one page and in many', () => {
    expect(pages[0]?.length).toBe(file.entries.length);
    expect(pages[1]).toEqual(pages[0]);
  });
  it('is written the same again, a record a line', () => {
    expect(texts[1]).toBe(texts[0]);
    expect(texts[0]?.split('\n')).toContain(`${JSON.stringify(out.groups[0])}`);
  });
});
