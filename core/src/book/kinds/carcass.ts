import { isoOf } from '../../calendar';
import { STEPS } from '../../selling';
import type { Kilograms } from '../../units';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

/** What came back of one that was killed. */
export interface CarcassWritten {
  readonly carcassKg: Kilograms;
  /** As it was graded, in thirds of a class: 1 is P- and 1-, 15 is E+ and 5+. */
  readonly shape?: number | undefined;
  readonly fat?: number | undefined;
  /** Paid for it before anything was taken off, and what was; hundredths of the money. */
  readonly priceMinor?: number | undefined;
  readonly deductedMinor?: number | undefined;
  readonly outletId?: string | undefined;
}

export interface CarcassFact extends Fact, CarcassWritten {}

/** A result comes back so long after it left at the latest; a later one is another year's. */
const COMES_WITHIN_DAYS = 60;

const isClass = (value: number): boolean => Number.isInteger(value) && value >= 1 && value <= STEPS;

/** The carcass of one that left to be killed: weight, class and what was paid. */
export const carcass: FactKind<'carcasses', CarcassWritten, CarcassFact> = {
  list: 'carcasses',
  fact: ({ carcassKg, shape, fat, priceMinor, deductedMinor, outletId }, base) => ({
    carcassKg,
    shape,
    fat,
    priceMinor,
    deductedMinor,
    outletId,
    ...base,
  }),
  isOfGone: true,
  check({ day, carcassKg, shape, fat, priceMinor, deductedMinor }, facts, book) {
    const left = facts.departures.at(-1);
    if (left?.how !== 'slaughtered' && left?.how !== 'sold')
      return {
        code: 'not-killed',
        field: 'animalId',
        value: facts.record.id,
        left: left?.how === 'died' || left?.how === 'lost' ? { how: left.how, on: isoOf(left.on) } : undefined,
      };
    const [known] = facts.carcasses;
    if (known) return { code: 'carcass-known', field: 'animalId', value: facts.record.id, on: isoOf(known.on) };
    if (day < left.on || day > left.on + COMES_WITHIN_DAYS)
      return { code: 'result-of-another-time', field: 'on', value: isoOf(day), goneOn: isoOf(left.on) };
    if (!(carcassKg > 0)) return { code: 'weight-not-positive', field: 'carcassKg', value: String(carcassKg) };
    const { species } = facts.record;
    const heaviestKg = book.settings(species).heaviestKg;
    if (carcassKg > heaviestKg)
      return { code: 'weight-too-high', field: 'carcassKg', value: String(carcassKg), heaviestKg, species };
    // A carcass is part of what stood on the scale.
    const liveKg = left.kg;
    if (liveKg !== undefined && carcassKg >= liveKg)
      return { code: 'carcass-over-live', field: 'carcassKg', value: String(carcassKg), liveKg };
    if (shape !== undefined && !isClass(shape)) return { code: 'not-a-class', field: 'shape', value: String(shape) };
    if (fat !== undefined && !isClass(fat)) return { code: 'not-a-class', field: 'fat', value: String(fat) };
    if (deductedMinor !== undefined && deductedMinor > (priceMinor ?? Infinity))
      return { code: 'deducted-over-price', field: 'deductedMinor', value: String(deductedMinor) };
    return undefined;
  },
};
