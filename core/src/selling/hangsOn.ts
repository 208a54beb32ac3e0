import type { Days } from '../units';
import { daysMoreAt, type ForSale } from './animalAtOutlet';
import type { Outlet } from './outlets';

/** What the answer hangs on, and how far each is moved to see: one SD of the gain, a fifth of the keep, a twentieth of the price. */
export const HANGS_ON = ['gain', 'keep', 'price'] as const;
export type HangsOn = (typeof HANGS_ON)[number];
const KEEP_MOVED = 0.2;
const PRICE_MOVED = 0.05;

export interface MovedAnswer {
  readonly bestIn: Days;
  readonly bestMinor: number;
}

export interface Hanging {
  readonly what: HangsOn;
  /** With less of it, and with more; undefined where there is then no day. */
  readonly less: MovedAnswer | undefined;
  readonly more: MovedAnswer | undefined;
}

/** The best day and its margin, each of gain, keep and price moved down and up by itself. */
export function hangsOn(animal: ForSale, outlet: Outlet): Hanging[] {
  const moved: Readonly<Record<HangsOn, (way: -1 | 1) => MovedAnswer | undefined>> = {
    gain: (way) => answerOf(withGain(animal, way), outlet),
    keep: (way) => answerOf({ ...animal, dailyCostMinor: animal.dailyCostMinor * (1 + way * KEEP_MOVED) }, outlet),
    price: (way) => answerOf(animal, withPrices(outlet, 1 + way * PRICE_MOVED)),
  };
  return HANGS_ON.map((what) => ({ what, less: moved[what](-1), more: moved[what](1) }));
}

function answerOf(animal: ForSale, outlet: Outlet): MovedAnswer | undefined {
  const days = daysMoreAt(animal, outlet);
  return days.kind === 'days' ? { bestIn: days.bestIn, bestMinor: days.bestMinor } : undefined;
}

function withGain(animal: ForSale, way: -1 | 1): ForSale {
  const { weight } = animal;
  const more = (n: Days): number => way * weight.gainSd * (n + weight.daysSince);
  return { ...animal, weight: { ...weight, kgIn: (n) => weight.kgIn(n) + more(n) } };
}

/** Every price times so much: the base, the bands and the cells of a grid alike. */
function withPrices(outlet: Outlet, times: number): Outlet {
  return {
    ...outlet,
    prices: outlet.prices.map((list) => ({
      ...list,
      baseMinor: list.baseMinor * times,
      bands: list.bands.map((b) => ({ ...b, minorPerKg: b.minorPerKg * times })),
      ...(list.grid
        ? { grid: { ...list.grid, cells: list.grid.cells.map((row) => row.map((cell) => cell * times)) } }
        : {}),
    })),
  };
}
