import type { GridFacts, OutletFacts, PriceListFacts } from '@yaylak/contract';
import { addDays, isoOf, nextWeekday, type Day, type Species } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';

/** What the valley pays for a kilogram of lamb by class, over and under the base: five shapes by low and high fat. */
const LAMB_GRID: GridFacts = {
  shape: 'whole',
  fat: 'low-high',
  cellsAre: 'adjustment',
  // From P to E; 1L, 1H, 2L, 2H, 3L, 3H, 4L, 4H, 5L, 5H.
  cells: [
    [-100, -90, -75, -70, -70, -75, -105, -125, -170, -180],
    [-55, -40, -30, -20, -20, -30, -65, -85, -140, -160],
    [-30, -15, 0, 0, 0, -5, -40, -65, -125, -145],
    [-15, 0, 15, 15, 15, 5, -30, -50, -110, -140],
    [-5, 5, 20, 25, 25, 15, -20, -40, -105, -135],
  ],
};
/** Over the ridge they forgive more fat and ask for more shape. */
const RIVER_GRID: GridFacts = {
  shape: 'whole',
  fat: 'whole',
  cellsAre: 'adjustment',
  cells: [-120, -45, 0, 20, 35].map((shape) => [-35, 5, 0, -20, -70].map((fat) => shape + fat)),
};
const CATTLE_GRID: GridFacts = {
  shape: 'thirds',
  fat: 'whole',
  cellsAre: 'adjustment',
  cells: Array.from({ length: 15 }, (_, shape) => [-30, -10, 0, -15, -60].map((fat) => 6 * (shape - 7) + fat)),
};

/** Three years of a price that rises a little and dips each autumn. */
function prices(today: Day, base: number, more: Partial<PriceListFacts> = {}): PriceListFacts[] {
  return [1_200, 700, 540, 330, 170, 40].map((ago, i) => ({
    from: isoOf(addDays(today, -ago)),
    baseMinor: Math.round((base * (0.88 + 0.024 * i - (i % 2 === 1 ? 0.03 : 0))) / 5) * 5,
    bands: [],
    ...more,
  }));
}

const outlet = (
  name: string,
  facts: Pick<OutletFacts, 'species' | 'payBy' | 'prices'> & Partial<OutletFacts>,
): OutletFacts => ({
  name,
  shrinkShare: 0,
  commissionShare: 0,
  tripMinor: 0,
  headMinor: 0,
  least: 0,
  weekdays: [],
  wants: {},
  leastChance: 0.7,
  ...facts,
});

const outlets = (today: Day): OutletFacts[] => [
  outlet('Stone bridge', {
    species: 'sheep',
    payBy: 'grid',
    prices: prices(today, 455, {
      grid: LAMB_GRID,
      bands: [
        { fromKg: 0, toKg: 18, minorPerKg: -60 },
        { fromKg: 18, toKg: 21, minorPerKg: -20 },
        { fromKg: 27, minorPerKg: -25 },
      ],
      paidUpToKg: 28,
    }),
    tripMinor: 1_200,
    headMinor: 260,
    least: 4,
    most: 16,
    weekdays: [4],
    wants: { fromKg: 21, toKg: 27, fromShape: 4, fromFat: 3, toFat: 9 },
    leastChance: 0.6,
    note: 'Ring by Tuesday noon.',
  }),
  outlet('River works', {
    species: 'sheep',
    payBy: 'grid',
    prices: prices(today, 450, { grid: RIVER_GRID, bands: [{ fromKg: 0, toKg: 19, minorPerKg: -45 }], paidUpToKg: 27 }),
    tripMinor: 2_100,
    headMinor: 220,
    least: 5,
    weekdays: [2],
    wants: { fromKg: 20, toKg: 27, fromShape: 4, fromFat: 4, toFat: 10 },
    leastChance: 0.6,
    note: 'Two valleys on; the lorry comes by at six.',
  }),
  outlet('Hill market', {
    species: 'sheep',
    payBy: 'live-kg',
    prices: prices(today, 205),
    shrinkShare: 0.03,
    commissionShare: 0.04,
    tripMinor: 1_500,
    headMinor: 90,
    weekdays: [6],
    wants: { fromKg: 40 },
  }),
  outlet('Village butcher', {
    species: 'sheep',
    payBy: 'carcass-kg',
    prices: prices(today, 415),
    headMinor: 150,
    least: 1,
    most: 3,
    weekdays: [2, 5],
    wants: { fromKg: 20, toKg: 25 },
  }),
  outlet('Feast buyers', {
    species: 'goat',
    payBy: 'live-kg',
    prices: prices(today, 245),
    tripMinor: 1_500,
    headMinor: 80,
    wants: { fromKg: 30, toKg: 48 },
  }),
  outlet('Goat dairy over the pass', {
    species: 'goat',
    payBy: 'live-head',
    prices: prices(today, 11_500),
    tripMinor: 1_800,
    most: 3,
    wants: { fromDays: 180, toDays: 400 },
  }),
  outlet('Mill tavern', {
    species: 'rabbit',
    payBy: 'carcass-head',
    prices: prices(today, 1_450),
    least: 4,
    most: 12,
    weekdays: [5],
    wants: { fromKg: 1.2, toKg: 1.6, fromDays: 70, toDays: 95 },
  }),
  outlet('At the door', {
    species: 'rabbit',
    payBy: 'carcass-kg',
    prices: prices(today, 980),
    most: 4,
    wants: { fromKg: 1.1 },
  }),
  outlet('Valley abattoir', {
    species: 'cattle',
    payBy: 'grid',
    prices: prices(today, 470, { grid: CATTLE_GRID }),
    tripMinor: 9_000,
    headMinor: 2_400,
    weekdays: [3],
    wants: { fromKg: 200, toKg: 360, fromShape: 5, fromFat: 4, toFat: 11 },
    leastChance: 0.6,
  }),
  outlet('Store cattle sale', {
    species: 'cattle',
    payBy: 'live-kg',
    prices: prices(today, 290),
    shrinkShare: 0.04,
    commissionShare: 0.03,
    tripMinor: 7_000,
    headMinor: 900,
    weekdays: [1],
    wants: { fromKg: 220 },
  }),
];

/** The young cattle came off their dams so long ago: the pen is on its eightieth day of feed. */
const CATTLE_FED_DAYS = 80;

/** Outlets, and how finished this year's males were found: felt a month ago and last week, a few of them not yet. */
export function writeSelling(w: BookWriter): void {
  for (const facts of outlets(w.today)) w.outlet(facts);
  feel(w, 'sheep', 7, 5.2);
  feel(w, 'goat', 6.5, 4.2);
  feel(w, 'cattle', 8, 6);
  for (const calf of youngMales(w, 'cattle'))
    w.write(calf, addDays(w.today, -CATTLE_FED_DAYS), { type: 'weaning', isDone: true });
  // The two poorest were promised to the butcher before one of them scoured: it was treated since, and may not go.
  const poorest = [...w.present('sheep', w.today)]
    .filter((a) => a.sex === 'male' && w.today - a.bornOn < 300)
    .sort((a, b) => a.merit - b.merit);
  w.load('Village butcher', nextWeekday(w.today, [2, 5]), poorest.slice(0, 2));
}

const youngMales = (w: BookWriter, species: Species): DemoAnimal[] =>
  w
    .present(species, w.today)
    .filter(({ sex, bornOn }) => sex !== 'female' && w.today - bornOn > 100 && w.today - bornOn < 330);

function feel(w: BookWriter, species: Species, shape: number, fat: number): void {
  youngMales(w, species).forEach((animal, i) => {
    // One in nine was not in the race that day.
    if (i % 9 === 4) return;
    const own = ownOf(animal);
    const more = 1.4 * own + 5 * (animal.merit - 1) * 4;
    const finish = (ago: number, lean: number): void => {
      const felt = (place: number): number => step(fat + more - lean + place + w.random.normal(0, 0.5));
      w.write(animal, addDays(w.today, -ago), {
        type: 'finish',
        shape: step(shape + 1.6 * ownOf(animal, 53) + 3 * (animal.merit - 1) * 4),
        fat: { tail: felt(0), loin: felt(-0.3), ribs: felt(0.2) },
      });
    };
    finish(34, 1.7);
    finish(6, 0);
  });
}

const step = (thirds: number): number => Math.min(15, Math.max(1, Math.round(thirds)));
/** From -1 to 1, the same for an animal each time: some are lean by nature. */
const ownOf = ({ number }: DemoAnimal, by = 37): number => ((Number(number.replace(/\D/g, '')) * by) % 100) / 50 - 1;
