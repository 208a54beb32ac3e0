import { halfWidth80 } from '../statistics';

/** What one more year of a female is held against; money in hundredths of the holding's. */
export interface YearMoney {
  /** A young reared to weaning. */
  readonly young: number;
  /** The standard error of that, 0 where it is a setting. */
  readonly youngError: number;
  readonly cull: number;
  readonly cullError: number;
  readonly keep: number;
  /** A replacement ready to be mated, bought or reared. */
  readonly replacement: number;
  /** Years a replacement is used. */
  readonly years: number;
}

export interface YearOfFemale {
  /** Young reared a litter year of her own, over so many. */
  readonly own: { readonly mean: number; readonly litters: number };
  readonly herd: number;
  /** Of the young a grown female rears: at her age next year, and of a first-timer. */
  readonly ageFactor: number;
  readonly firstFactor: number;
  /** Spread of one litter (SD). */
  readonly litterSd: number;
  /** Share that is alive a year later, of her age and of a replacement. */
  readonly survival: number;
  readonly firstSurvival: number;
}

export interface OneMoreYear {
  /** Young reared next year, by her own litters drawn to the herd's. */
  readonly young: number;
  readonly keeping: number;
  readonly replacing: number;
  /** Keeping less replacing, with half its 80 % interval. */
  readonly difference: number;
  readonly halfWidth: number;
}

/** The herd's mean counts as so many litters beside her own. */
const HERD_LITTERS = 3;

/**
 * One more year of a female against a young one in her place. Keeping: R v + s x cull - keep with
 * R = age factor x (n own + 3 herd)/(n + 3). Replacing: R1 v + s1 E1 - keep - cost + cull now, what a replacement is worth
 * a year on being E1 = cost - (cost - cull)/L. The error of the difference comes from its own derivatives: young and keep
 * are the same in both.
 */
export function oneMoreYear(female: YearOfFemale, money: YearMoney): OneMoreYear {
  const { own, herd, ageFactor, firstFactor, litterSd, survival, firstSurvival } = female;
  const { young: v, cull, keep, replacement: cost, years } = money;
  const n = own.litters;
  const expected = ageFactor * ((n * own.mean + HERD_LITTERS * herd) / (n + HERD_LITTERS));
  const first = firstFactor * herd;
  const yearOn = cost - (cost - cull) / years;
  const keeping = expected * v + survival * cull - keep;
  const replacing = first * v + firstSurvival * yearOn - keep - cost + cull;
  const youngError = (ageFactor * litterSd) / Math.sqrt(n + HERD_LITTERS);
  // d/d cull: her own cull value next year, less a replacement's share of it, less the value now.
  const byCull = survival - firstSurvival / years - 1;
  const standardError = Math.hypot(v * youngError, (expected - first) * money.youngError, byCull * money.cullError);
  return {
    young: expected,
    keeping,
    replacing,
    difference: keeping - replacing,
    halfWidth: halfWidth80(standardError),
  };
}
