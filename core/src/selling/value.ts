import { normalPiece } from '../statistics';
import type { Kilograms } from '../units';
import { CELLS_OF_STEPS, pricePerKg, STEPS, type GradedClass, type Grid } from './grid';
import { isPaidDead, type Outlet, type PriceList } from './outlets';

/** Live weight as it is thought to be. */
export interface ThoughtWeight {
  readonly kg: Kilograms;
  readonly sd: Kilograms;
}

/** Chances of the 15 steps. */
export interface ClassChances {
  readonly shape: readonly number[];
  readonly fat: readonly number[];
}

/** An animal as an outlet would pay for it. */
export interface ToPay {
  readonly weight: ThoughtWeight;
  /** Carcass over live weight; counts as known. */
  readonly killingOut: number;
  /** Undefined where it was not felt: a grid can then not be worked out. */
  readonly classes: ClassChances | undefined;
}

/**
 * What one animal is expected to bring, hundredths of the holding's money: over weight and class, which are taken as
 * independent, by exact pieces of the normal distribution between the edges of bands, where the pay is a straight line
 * of the weight. Head charges are off; the trip is not.
 * @returns undefined where the outlet pays by class and none was felt
 */
export function expectedValue(
  animal: ToPay,
  outlet: Pick<Outlet, 'payBy' | 'shrinkShare' | 'commissionShare' | 'headMinor'>,
  prices: PriceList,
): number | undefined {
  const { payBy, shrinkShare, commissionShare, headMinor } = outlet;
  const { kg, sd } = animal.weight;
  switch (payBy) {
    case 'live-head':
      return prices.baseMinor * (1 - commissionShare) - headMinor;
    case 'live-kg':
      return kg * (1 - shrinkShare) * prices.baseMinor * (1 - commissionShare) - headMinor;
    case 'carcass-head':
      return prices.baseMinor - headMinor;
    case 'carcass-kg':
    case 'grid': {
      const perKg = meanPerKg(animal.classes, outlet.payBy, prices);
      if (perKg === undefined) return undefined;
      const carcass = { kg: kg * animal.killingOut, sd: sd * animal.killingOut };
      const banded = prices.bands.reduce(
        (sum, b) => sum + b.minorPerKg * paidKg(carcass, prices.paidUpToKg, b.fromKg, b.toKg ?? Infinity),
        0,
      );
      return perKg * paidKg(carcass, prices.paidUpToKg, -Infinity, Infinity) + banded - headMinor;
    }
  }
}

/** Expected kilograms that are paid of a carcass in a band: up to a limit where there is one. */
function paidKg(carcass: ThoughtWeight, upTo: Kilograms = Infinity, from: Kilograms, to: Kilograms): Kilograms {
  const under = normalPiece(from, Math.min(to, Math.max(from, upTo)), carcass.kg, carcass.sd);
  if (upTo >= to) return under.part;
  const over = normalPiece(Math.max(from, upTo), to, carcass.kg, carcass.sd);
  return under.part + over.chance * upTo;
}

/** What is expected for a kilogram of carcass before its weight band. */
function meanPerKg(
  classes: ClassChances | undefined,
  payBy: Outlet['payBy'],
  { baseMinor, grid }: PriceList,
): number | undefined {
  if (payBy !== 'grid') return baseMinor;
  if (!classes || !grid) return undefined;
  const mean = meanOfCells(grid, classes);
  return grid.cellsAre === 'price' ? mean : baseMinor + mean;
}

/** The mean of a grid's cells by the chances of shape and fat. */
export function meanOfCells({ shape, fat, cells }: Grid, chances: ClassChances): number {
  const [rows, columns] = [CELLS_OF_STEPS[shape], CELLS_OF_STEPS[fat]];
  let mean = 0;
  for (let s = 0; s < STEPS; s++) {
    const row = cells[rows[s] as number] as readonly number[];
    let ofRow = 0;
    for (let f = 0; f < STEPS; f++) ofRow += (chances.fat[f] as number) * (row[columns[f] as number] as number);
    mean += (chances.shape[s] as number) * ofRow;
  }
  return mean;
}

/** An animal as it was paid for: nothing is a guess any more. */
export interface SoldHead {
  readonly liveKg: Kilograms;
  readonly killingOut: number;
  readonly graded: GradedClass | undefined;
}

/** What an animal of a known weight and class brings, head charges off. @returns undefined by class and none given */
export function exactValue(
  { liveKg, killingOut, graded }: SoldHead,
  outlet: Pick<Outlet, 'payBy' | 'shrinkShare' | 'commissionShare' | 'headMinor'>,
  prices: PriceList,
): number | undefined {
  if (outlet.payBy !== 'grid' && outlet.payBy !== 'carcass-kg')
    return expectedValue({ weight: { kg: liveKg, sd: 0 }, killingOut, classes: undefined }, outlet, prices);
  const carcass = liveKg * killingOut;
  const band = prices.bands.find((b) => carcass >= b.fromKg && carcass < (b.toKg ?? Infinity))?.minorPerKg ?? 0;
  if (outlet.payBy === 'grid' && (!graded || !prices.grid)) return undefined;
  const perKg =
    outlet.payBy === 'grid' && graded && prices.grid
      ? pricePerKg(prices.grid, prices.baseMinor, graded)
      : prices.baseMinor;
  return Math.min(carcass, prices.paidUpToKg ?? Infinity) * (perKg + band) - outlet.headMinor;
}

/**
 * What one live kilogram more brings at the weight it is expected to have, inside its band and with its class chances
 * held; 0 where heads are paid, and above the weight that is paid.
 */
export function marginalPerKg(
  animal: ToPay,
  outlet: Pick<Outlet, 'payBy' | 'shrinkShare' | 'commissionShare'>,
  prices: PriceList,
): number | undefined {
  if (outlet.payBy === 'live-head' || outlet.payBy === 'carcass-head') return 0;
  if (!isPaidDead(outlet.payBy)) return prices.baseMinor * (1 - outlet.shrinkShare) * (1 - outlet.commissionShare);
  const perKg = meanPerKg(animal.classes, outlet.payBy, prices);
  if (perKg === undefined) return undefined;
  const carcass = animal.weight.kg * animal.killingOut;
  if (carcass >= (prices.paidUpToKg ?? Infinity)) return 0;
  const band = prices.bands.find((b) => carcass >= b.fromKg && carcass < (b.toKg ?? Infinity))?.minorPerKg ?? 0;
  return animal.killingOut * (perKg + band);
}

/** The gain that pays for a day's feed and keep, kilograms a day. @returns Infinity where no gain pays for it */
export const breakevenGain = (dailyCostMinor: number, marginalMinor: number): number =>
  marginalMinor > 0 ? dailyCostMinor / marginalMinor : Infinity;
