import { isoOf, type Day } from '../calendar';
import type { Species } from '../species';
import type { Days, Kilograms } from '../units';
import { gridFault, type Grid, type GridFault, type ClassStep } from './grid';

/** What is paid for: live weight, a live head, a carcass by its class, its weight alone, or a head dressed. */
export const PAY_WAYS = ['live-kg', 'live-head', 'grid', 'carcass-kg', 'carcass-head'] as const;
export type PayWay = (typeof PAY_WAYS)[number];
export const isPaidDead = (way: PayWay): boolean => way === 'grid' || way === 'carcass-kg' || way === 'carcass-head';
export const isPaidByHead = (way: PayWay): boolean => way === 'live-head' || way === 'carcass-head';

/** Carcass weights from one to under another; added to the price of every kilogram of a carcass that lies in it. */
export interface WeightBand {
  readonly fromKg: Kilograms;
  /** Open above where it is missing. */
  readonly toKg?: Kilograms | undefined;
  readonly minorPerKg: number;
}

/** What an outlet pays from a day on. Hundredths of the holding's money. */
export interface PriceList {
  readonly from: Day;
  /** A kilogram, or a head where heads are paid. */
  readonly baseMinor: number;
  readonly grid?: Grid | undefined;
  readonly bands: readonly WeightBand[];
  /** Carcass kilograms over this are not paid. */
  readonly paidUpToKg?: Kilograms | undefined;
}

/** What the outlet wants: live kilograms where it pays for live ones, of the carcass where it pays for that. */
export interface WantedBox {
  readonly kg?: BoxRange | undefined;
  readonly shape?: BoxRange<ClassStep> | undefined;
  readonly fat?: BoxRange<ClassStep> | undefined;
  readonly ageDays?: BoxRange<Days> | undefined;
}
/** Either end may be open. */
export interface BoxRange<T extends number = number> {
  readonly from?: T | undefined;
  readonly to?: T | undefined;
}

export interface Outlet {
  readonly id: string;
  readonly species: Species;
  readonly payBy: PayWay;
  readonly prices: readonly PriceList[];
  /** Lost on the way and in the pen before it is weighed there, as a share of live weight. */
  readonly shrinkShare: number;
  readonly commissionShare: number;
  /** PaidSale once for each trip. */
  readonly tripMinor: number;
  /** Haulage, levies and deductions a head. */
  readonly headMinor: number;
  /** Heads it takes at least and at most in a load. */
  readonly least: number;
  readonly most?: number | undefined;
  readonly box: WantedBox;
  /** How likely one has to lie in the box to count as ready. */
  readonly leastChance: number;
}

/** The price list that holds on a day: the last that has begun. @returns undefined where none has */
export function pricesOn(prices: readonly PriceList[], on: Day): PriceList | undefined {
  let held: PriceList | undefined;
  for (const list of prices) if (list.from <= on && (held === undefined || list.from >= held.from)) held = list;
  return held;
}

export interface PriceFault {
  /** Which list, and the day it begins. */
  readonly list: number;
  readonly from: string;
  readonly fault:
    | { readonly kind: 'price-not-positive'; readonly value: number }
    | { readonly kind: 'no-grid' }
    | { readonly kind: 'band-upside-down'; readonly fromKg: Kilograms; readonly toKg: Kilograms }
    | { readonly kind: 'bands-overlap'; readonly atKg: Kilograms }
    | { readonly kind: 'same-day' }
    | GridFault;
}

/** The first thing in an outlet's prices that no carcass could be paid by. */
export function priceFault({ payBy, prices }: Pick<Outlet, 'payBy' | 'prices'>): PriceFault | undefined {
  for (const [i, list] of prices.entries()) {
    const isTwice = prices.some((other, k) => k > i && other.from === list.from);
    const fault = isTwice ? ({ kind: 'same-day' } as const) : listFault(payBy, list);
    if (fault) return { list: i, from: isoOf(list.from), fault };
  }
  return undefined;
}

function listFault(payBy: PayWay, { baseMinor, grid, bands }: PriceList): PriceFault['fault'] | undefined {
  const isWholeGrid = payBy === 'grid' && grid?.cellsAre === 'price';
  if (!isWholeGrid && !(baseMinor > 0)) return { kind: 'price-not-positive', value: baseMinor };
  if (payBy === 'grid') {
    const fault = grid ? gridFault(grid) : ({ kind: 'no-grid' } as const);
    if (fault) return fault;
  }
  return bandFault(bands);
}

function bandFault(bands: readonly WeightBand[]): PriceFault['fault'] | undefined {
  const upsideDown = bands.find((b) => b.toKg !== undefined && b.toKg <= b.fromKg);
  if (upsideDown) return { kind: 'band-upside-down', fromKg: upsideDown.fromKg, toKg: upsideDown.toKg as Kilograms };
  const rising = [...bands].sort((a, b) => a.fromKg - b.fromKg);
  const over = rising.find((b, i) => i > 0 && (rising[i - 1]?.toKg ?? Infinity) > b.fromKg);
  return over && { kind: 'bands-overlap', atKg: over.fromKg };
}
