import type { ProductFacts, TreatmentEntry } from '@yaylak/contract';
import { addDays, isoOf, seededRandom, USUAL_STANDARDS, standardsFor, type Day, type LookGrade } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { EWES, RAM_LAMBS } from './sheep';

/** A tape in one hand reads so much high in this story. */
const TAPE_READS = 1.07;
const GIVEN_BY_VET = 'Vet of the valley';

/** What stands on the shelf: plain made-up names, figures and batches. */
export function writeRemedies(w: BookWriter): void {
  const shelf = stockTheShelf(w);
  drenchAndBolus(w, shelf);
  treatTheLame(w, shelf);
  weighByTape(w);
  shearAndTrim(w);
  lookOverLambs(w);
  lastRound(w, shelf);
}

type Shelf = ReturnType<typeof stockTheShelf>;

function stockTheShelf(w: BookWriter) {
  const day = (days: number): string => isoOf(addDays(w.today, days));
  const flock = w.group(EWES, 'sheep');
  const product = (facts: ProductFacts): string => w.product(facts);
  return {
    drench: product({
      name: 'White drench',
      kind: 'remedy',
      active: 'wormer, white group',
      form: 'drench',
      concentration: '25 mg/ml',
      doseUnit: 'ml',
      doses: [
        { species: 'sheep', by: 'kg', perKg: 0.2 },
        { species: 'goat', by: 'kg', perKg: 0.4 },
      ],
      step: 0.5,
      rounding: 'up',
      routes: ['mouth'],
      withdrawals: [
        { species: 'sheep', route: 'mouth', meatDays: 14, milkDays: 5 },
        { species: 'goat', route: 'mouth', meatDays: 14, milkDays: 5 },
      ],
      batches: [
        { batch: 'WD-113', expiresOn: day(-40), amount: 2500, paidMinor: 6_100 },
        { batch: 'WD-207', expiresOn: day(19), amount: 2500, paidMinor: 6_250 },
        { batch: 'WD-241', expiresOn: day(420), amount: 2500, paidMinor: 6_400 },
      ],
      lowAt: 500,
    }),
    bolus: product({
      name: 'Stone bolus',
      kind: 'bolus',
      active: 'cobalt, selenium, iodine',
      form: 'slow bolus',
      doseUnit: 'bolus',
      doses: [{ species: 'sheep', by: 'head', amount: 1 }],
      step: 1,
      rounding: 'nearest',
      routes: ['mouth'],
      withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 0, milkDays: 0 }],
      batches: [{ batch: 'SB-09', expiresOn: day(500), amount: 320, paidMinor: 57_600 }],
      lowAt: 30,
      planMonths: halfYearly(w.today),
      planGroupIds: [flock],
    }),
    vaccine: product({
      name: 'Two-step vaccine',
      kind: 'vaccine',
      active: 'gut and lung',
      form: 'injection',
      doseUnit: 'ml',
      doses: [
        { species: 'sheep', by: 'head', amount: 2 },
        { species: 'goat', by: 'head', amount: 2 },
      ],
      step: 0.5,
      rounding: 'nearest',
      routes: ['under-skin'],
      withdrawals: [
        { species: 'sheep', route: 'under-skin', meatDays: 0, milkDays: 0 },
        { species: 'goat', route: 'under-skin', meatDays: 0, milkDays: 0 },
      ],
      course: { times: 2, everyDays: 28 },
      batches: [{ batch: 'TV-31', expiresOn: day(75), amount: 200, paidMinor: 4_800 }],
    }),
    injection: product({
      name: 'Grey injection',
      kind: 'remedy',
      active: 'antibiotic, long acting',
      form: 'injection',
      concentration: '200 mg/ml',
      doseUnit: 'ml',
      doses: [
        { species: 'sheep', by: 'kg', perKg: 0.1 },
        { species: 'goat', by: 'kg', perKg: 0.1 },
        { species: 'cattle', by: 'kg', perKg: 0.1 },
      ],
      step: 0.1,
      rounding: 'nearest',
      maxPerSite: 10,
      routes: ['muscle'],
      withdrawals: [
        { species: 'sheep', route: 'muscle', meatDays: 28, milkDays: 7 },
        { species: 'goat', route: 'muscle', meatDays: 28, milkDays: 7 },
        { species: 'cattle', route: 'muscle', meatDays: 35, milkDays: 7 },
      ],
      prescribedBy: GIVEN_BY_VET,
      batches: [{ batch: 'GI-77', expiresOn: day(210), amount: 100, paidMinor: 3_150 }],
      lowAt: 20,
    }),
    pourOn: product({
      name: 'Yellow pour-on',
      kind: 'remedy',
      active: 'against flies and lice',
      form: 'pour-on',
      doseUnit: 'ml',
      doses: [
        {
          species: 'cattle',
          by: 'band',
          bands: [
            { upToKg: 150, amount: 15 },
            { upToKg: 300, amount: 30 },
            { upToKg: 800, amount: 50 },
          ],
        },
      ],
      step: 5,
      rounding: 'up',
      routes: ['pour-on'],
      withdrawals: [{ species: 'cattle', route: 'pour-on', meatDays: 21, milkDays: 0 }],
      batches: [{ batch: 'YP-4', expiresOn: day(340), amount: 1000, paidMinor: 5_400 }],
    }),
  };
}

/** This month, and half a year from it: the plan always has an open turn to look at. */
const halfYearly = (today: Day): number[] => {
  const month = Number(isoOf(today).slice(5, 7));
  return [month, ((month + 5) % 12) + 1].sort((a, b) => a - b);
};

const grownEwes = (w: BookWriter, on: Day): DemoAnimal[] =>
  w.present('sheep', on).filter((a) => a.sex === 'female' && on - a.bornOn > 500);

type Given = Omit<TreatmentEntry, 'id' | 'type' | 'animalId' | 'on' | 'writtenAt' | 'writtenBy' | 'source'>;
const give = (w: BookWriter, animal: DemoAnimal, on: Day, given: Given): void =>
  void w.write(animal, on, { type: 'treatment', ...given });

/** Ewes drenched each summer, the bolus twice a year; of this month's turn only half have been through. */
function drenchAndBolus(w: BookWriter, { drench, bolus }: Shelf): void {
  for (const ago of [3, 2, 1, 0]) {
    const summer = addDays(w.today, -365 * ago - 150);
    for (const ewe of grownEwes(w, summer)) {
      const doseKg = Math.round(55 * ewe.merit * 2) / 2;
      const amount = Math.ceil(doseKg * 0.2 * 2) / 2;
      give(w, ewe, summer, {
        productId: drench,
        amount,
        unit: 'ml',
        route: 'mouth',
        batch: ago > 1 ? 'WD-113' : 'WD-207',
        reason: 'worms, counted in dung',
        doseKg,
        doseMethod: 'scale',
        meatDays: 14,
        milkDays: 5,
      });
    }
    for (const on of [addDays(w.today, -365 * ago - 182), addDays(w.today, -365 * ago - 5)])
      grownEwes(w, on).forEach((ewe, i) => {
        if (ago === 0 && on > addDays(w.today, -30) && i % 2 === 1) return;
        give(w, ewe, on, {
          productId: bolus,
          amount: 1,
          unit: 'bolus',
          route: 'mouth',
          batch: 'SB-09',
          meatDays: 0,
          milkDays: 0,
        });
      });
  }
}

/** One of the ram lambs that stands marked for the buyer was lame: nothing of it may be sold yet. A doe had it too. */
function treatTheLame(w: BookWriter, { drench, injection, vaccine }: Shelf): void {
  const lambs = w.present('sheep', w.today).filter((a) => a.sex === 'male' && w.today - a.bornOn < 300);
  const lame = lambs[2];
  const given = {
    productId: injection,
    unit: 'ml',
    route: 'muscle',
    batch: 'GI-77',
    prescribedBy: GIVEN_BY_VET,
  } as const;
  if (lame)
    give(w, lame, addDays(w.today, -6), {
      ...given,
      amount: 4.6,
      reason: 'lame, hot foot',
      doseKg: 46,
      doseMethod: 'scale',
      meatDays: 28,
      milkDays: 7,
    });
  // The poorest of them scoured: it stands on the sale list and may not go yet.
  const poorest = [...lambs].sort((a, b) => a.merit - b.merit)[0];
  if (poorest)
    give(w, poorest, addDays(w.today, -5), {
      productId: drench,
      amount: 9,
      unit: 'ml',
      route: 'mouth',
      batch: 'WD-207',
      reason: 'scouring again',
      doseKg: 45,
      doseMethod: 'scale',
      meatDays: 14,
      milkDays: 5,
    });
  const doe = w.present('goat', w.today).find((a) => a.sex === 'female' && w.today - a.bornOn > 900);
  if (doe)
    give(w, doe, addDays(w.today, -3), {
      ...given,
      amount: 5.2,
      reason: 'hard quarter',
      doseKg: 52,
      doseMethod: 'tape',
      meatDays: 28,
      milkDays: 7,
    });
  for (const lamb of w.present('sheep', w.today).filter((a) => a.sex === 'female' && w.today - a.bornOn < 300))
    give(w, lamb, addDays(w.today, -25), {
      productId: vaccine,
      amount: 2,
      unit: 'ml',
      route: 'under-skin',
      batch: 'TV-31',
      meatDays: 0,
      milkDays: 0,
    });
}

/** Kerem's tape beside the scale on one day: it reads high. And two that were only taped. */
function weighByTape(w: BookWriter): void {
  const on = addDays(w.today, -16);
  const ewes = grownEwes(w, on);
  for (const ewe of ewes.slice(0, 12)) {
    const kg = w.lastKg(ewe, on);
    if (kg !== undefined) w.tape(ewe, on, kg * TAPE_READS * w.random.normal(1, 0.02), 'Kerem');
  }
  for (const ewe of ewes.slice(12, 14)) w.tape(ewe, addDays(w.today, -4), 66 * ewe.merit, 'Kerem');
}

function shearAndTrim(w: BookWriter): void {
  for (const ago of [2, 1, 0])
    for (const ewe of grownEwes(w, addDays(w.today, -365 * ago - 170))) {
      w.write(ewe, addDays(w.today, -365 * ago - 170), { type: 'care', kind: 'shear', method: 'whole' });
      w.write(ewe, addDays(w.today, -365 * ago - 30), { type: 'care', kind: 'feet', method: 'trimmed' });
    }
}

/** Looks have numbers of their own, so that one standard more does not stir the rest of the story. */
const LOOKS_SEED = 73;
/** Of this year's crop so many are still to be looked over. */
const NOT_YET = 10;

/** In the first two years fleece and pasterns did not stop a lamb from being kept: of every so many kept one failed. */
const LENIENT_YEARS = [4, 3];
const LENIENT_IN = ['sheep-fleece', 'sheep-pasterns'];
const LENIENT_EVERY = 2;
/** How often a lamb fails what its dam failed. */
const FROM_DAM = 0.35;

/**
 * Ewe lambs looked over before each choosing. Fewer fail as the years go, and what a dam failed her lambs fail more
 * often. Of this year the heaviest single fails its mouth, and a good one its colour.
 */
function lookOverLambs(w: BookWriter): void {
  const own = seededRandom(LOOKS_SEED);
  const failed = new Map<DemoAnimal, Set<string>>();
  for (const ago of [4, 3, 2, 1, 0]) {
    const on = addDays(w.today, -365 * ago - 12);
    const lambs = w
      .present('sheep', on)
      .filter((a) => a.sex === 'female' && on - a.bornOn < 330 && on - a.bornOn >= 60);
    const planted = ago === 0 ? plantedFails(w, lambs) : new Map<DemoAnimal, string>();
    const looked = ago === 0 ? lambs.filter((l, i) => planted.has(l) || i < lambs.length - NOT_YET) : lambs;
    const isKept = (lamb: DemoAnimal): boolean => lamb.goneOn === undefined || lamb.goneOn - on > 60;
    if (LENIENT_YEARS.includes(ago))
      looked.filter(isKept).forEach((lamb, i) => {
        if (i % LENIENT_EVERY === 0) planted.set(lamb, LENIENT_IN[(i / LENIENT_EVERY) % LENIENT_IN.length] as string);
      });
    for (const lamb of looked) {
      const chance = (0.006 + 0.009 * ago) * (isKept(lamb) ? 0.35 : 1.2);
      const ofDam = lamb.dam && failed.get(lamb.dam);
      const grades = standardsFor(USUAL_STANDARDS, lamb).map(({ id, kind }): [string, LookGrade] => {
        if (kind === 'points')
          return [id, Math.max(1, Math.min(5, Math.round(own.normal(1.6 + 1.7 * lamb.merit, 0.8))))];
        const fails = own.chance(ofDam?.has(id) ? FROM_DAM : chance) || planted.get(lamb) === id;
        if (fails) failed.set(lamb, (failed.get(lamb) ?? new Set()).add(id));
        return [id, fails ? 'fail' : 'pass'];
      });
      w.write(
        lamb,
        on,
        { type: 'look', grades: Object.fromEntries(grades) },
        undefined,
        ago % 2 === 0 ? 'Aylin' : 'Kerem',
      );
    }
  }
}

/** What two of this year's fail. */
function plantedFails(w: BookWriter, lambs: readonly DemoAnimal[]): Map<DemoAnimal, string> {
  const kg = (lamb: DemoAnimal): number => w.lastKg(lamb, w.today) ?? 0;
  const byWeight = [...lambs].sort((a, b) => kg(b) - kg(a));
  const [single] = byWeight.filter((l) => l.rearingType === 1);
  const twin = byWeight.filter((l) => l.rearingType === 2)[2];
  return new Map([
    ...(single ? [[single, 'sheep-mouth'] as const] : []),
    ...(twin ? [[twin, 'sheep-nose-and-skin'] as const] : []),
  ]);
}

/** The last round through the race: all ram lambs but one, whose tag the stick did not read. */
function lastRound(w: BookWriter, { drench }: Shelf): void {
  const on = addDays(w.today, -20);
  const lambs = w.present('sheep', on).filter((a) => a.sex === 'male' && on - a.bornOn < 300);
  const jobId = w.job({
    name: `${RAM_LAMBS}, drench`,
    on: isoOf(on),
    startedAt: `${isoOf(on)}T07:30:00.000Z`,
    startedBy: 'Aylin',
    stations: ['weigh', 'treat'],
    settings: { weigh: { method: 'crate' }, treat: { productIds: [drench], reason: 'scouring' } },
    gates: [],
    animalIds: lambs.map((a) => a.id),
    finishedAt: `${isoOf(on)}T09:10:00.000Z`,
  });
  lambs.forEach((lamb, i) => {
    if (i === 5) return;
    const kg = w.lastKg(lamb, on) ?? 40;
    w.write(lamb, on, { type: 'passage' }, jobId);
    w.write(lamb, on, { type: 'weight', kg: Math.round(kg * 1.03 * 10) / 10, method: 'crate' }, jobId);
    const doseKg = Math.round(kg * 1.03 * 10) / 10;
    w.write(
      lamb,
      on,
      {
        type: 'treatment',
        productId: drench,
        amount: Math.ceil(doseKg * 0.2 * 2 - 1e-9) / 2,
        unit: 'ml',
        route: 'mouth',
        batch: 'WD-207',
        reason: 'scouring',
        doseKg,
        doseMethod: 'crate',
        meatDays: 14,
        milkDays: 5,
      },
      jobId,
    );
  });
}

/** Bags of blank tags in the drawer. */
export const demoBlankTags = (year: number) => {
  const yy = String(year).slice(2);
  return [
    { id: 'lambs', species: 'sheep', colour: 'green', shape: 'flag', first: `${yy}-0001`, last: `${yy}-0080` },
    {
      id: 'next',
      species: 'sheep',
      colour: 'blue',
      shape: 'flag',
      first: `${Number(yy) + 1}-0001`,
      last: `${Number(yy) + 1}-0060`,
    },
    { id: 'goats', species: 'goat', colour: 'white', shape: 'button', first: 'K-101', last: 'K-120' },
  ] as const;
};
