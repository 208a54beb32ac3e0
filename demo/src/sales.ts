import { outletOf, type OutletFacts } from '@yaylak/contract';
import { addDays, dayOf, exactValue, isoOf, isPaidDead, pricesOn, type Day } from '@yaylak/core';
import type { BookWriter, DemoAnimal, Departed } from './bookWriter';

/** How a grader sees what is there, thirds of a class: two of one trade differ. */
interface GraderOf {
  readonly shape: number;
  readonly fat: number;
}
const GRADERS: Readonly<Record<string, GraderOf>> = {
  'Stone bridge': { shape: -0.7, fat: 1.4 },
  'River works': { shape: 0.9, fat: -0.6 },
  'Valley abattoir': { shape: 0.3, fat: 0.5 },
};

/** Years that sales were written down with their outlets. */
const TOLD_DAYS = 3 * 365;

/** Three years of sales: where each went, what was felt before it left, and what came back. */
export function writeSales(w: BookWriter): void {
  const sales = w.departed().filter((d) => d.on >= addDays(w.today, -TOLD_DAYS));
  sales.forEach((sale, i) => {
    const name = outletFor(sale, i);
    const outlet = name === undefined ? undefined : w.outletNamed(name);
    if (outlet) sell(w, sale, outlet);
  });
}

function outletFor({ animal, on }: Departed, i: number): string | undefined {
  const ageDays = on - animal.bornOn;
  switch (animal.species) {
    case 'sheep':
      if (ageDays > 400) return 'Hill market';
      return animal.sex === 'female' || i % 5 === 0 ? 'Hill market' : i % 2 === 0 ? 'Stone bridge' : 'River works';
    case 'goat':
      return animal.sex === 'female' ? (ageDays < 400 ? 'Goat dairy over the pass' : undefined) : 'Feast buyers';
    case 'rabbit':
      return ageDays < 200 ? (i % 3 === 0 ? 'At the door' : 'Mill tavern') : undefined;
    case 'cattle':
      return animal.sex === 'female' ? 'Store cattle sale' : 'Valley abattoir';
  }
}

/** What one gains a day between its last weight and its sale, kilograms; shares of carcass, and the middle of what is felt. */
const OF = {
  sheep: { gain: 0.12, dressed: 0.465, shape: 7.4, fat: 6 },
  goat: { gain: 0.09, dressed: 0.47, shape: 6.5, fat: 4.5 },
  rabbit: { gain: 0.028, dressed: 0.555, shape: 0, fat: 0 },
  cattle: { gain: 0.7, dressed: 0.54, shape: 8, fat: 6.5 },
} as const;

/** What those that are finished get beside the grass before they leave. */
const FED = {
  sheep: { feed: 'Barley and bran', days: 56, kgADay: 0.42, priceMinor: 34 },
  cattle: { feed: 'Barley and hay', days: 110, kgADay: 4.5, priceMinor: 29 },
} as const;
/** Older ones are not finished, they are let go. */
const FINISHED_UNTIL_DAYS = 700;

function noteFeed(w: BookWriter, animal: DemoAnimal, on: Day): void {
  if (animal.species !== 'sheep' && animal.species !== 'cattle') return;
  if (on - animal.bornOn > FINISHED_UNTIL_DAYS) return;
  const { feed, days, kgADay, priceMinor } = FED[animal.species];
  const kg = rounded(days * kgADay, 10);
  w.write(animal, addDays(on, -1), { type: 'feed', since: isoOf(addDays(on, -1 - days)), feed, kg, priceMinor });
}

function sell(
  w: BookWriter,
  { animal, on, lastKg }: Departed,
  outlet: { readonly id: string; readonly facts: OutletFacts },
): void {
  const prices = pricesOn(outletOf(outlet).prices, on);
  if (!prices || !lastKg) return;
  const { random } = w;
  const { gain, dressed, shape: midShape, fat: midFat } = OF[animal.species];
  const liveKg = rounded(lastKg.kg + gain * (on - dayOf(lastKg.on)) + random.normal(0, 0.006 * lastKg.kg), 10);
  const killingOut = dressed + random.normal(0, 0.011);
  const { name, payBy, headMinor } = outlet.facts;
  const isDead = isPaidDead(payBy);
  const isGraded = payBy === 'grid';
  const shape = midShape + 3 * (animal.merit - 1) * 4 + random.normal(0, 1.1);
  const fat = midFat + random.normal(0, 1.3);
  if (isGraded) feelBefore(w, animal, on, { shape, fat });
  noteFeed(w, animal, on);
  const grader = GRADERS[name] ?? { shape: 0, fat: 0 };
  const graded = isGraded
    ? {
        shape: step(shape + grader.shape + random.normal(0, 0.8)),
        fat: step(fat + grader.fat + random.normal(0, 0.9)),
      }
    : undefined;
  const value = exactValue(
    { liveKg, killingOut, graded },
    { ...outlet.facts, commissionShare: 0, headMinor: 0 },
    prices,
  );
  if (value === undefined) return;
  const priceMinor = Math.round(value);
  w.tellSale(animal, {
    how: isDead ? 'slaughtered' : 'sold',
    outletId: outlet.id,
    buyer: name,
    ...(animal.species === 'rabbit' ? {} : { kg: liveKg }),
    ...(isDead ? {} : { priceMinor }),
  });
  if (!isDead) return;
  w.write(animal, on, {
    type: 'carcass',
    carcassKg: rounded(liveKg * killingOut, animal.species === 'rabbit' ? 100 : 10),
    ...graded,
    priceMinor,
    deductedMinor: headMinor,
  });
}

/** Felt by hand six days before it left. */
function feelBefore(w: BookWriter, animal: DemoAnimal, on: Day, { shape, fat }: GraderOf): void {
  const felt = (place: number): number => step(fat - 0.3 + place + w.random.normal(0, 0.6));
  w.write(animal, addDays(on, -6), {
    type: 'finish',
    shape: step(shape + w.random.normal(0, 0.8)),
    fat: { tail: felt(0), loin: felt(-0.3), ribs: felt(0.2) },
  });
}

const rounded = (value: number, parts: number): number => Math.round(value * parts) / parts;
const step = (thirds: number): number => Math.min(15, Math.max(1, Math.round(thirds)));
