import type { Day } from '../calendar';
import { gainOverPeriod, readingSd, type GrowthCurve, type Reading } from '../growth';
import type { SpeciesSettings } from '../species';
import type { Days, Kilograms, KilogramsPerDay } from '../units';

/** The own gain is read over these days. */
export const OWN_DAYS: Days = 42;
/** On a plateau over these, for the days before are another story. */
export const PLATEAU_DAYS: Days = 21;

/** How a group gains: what an animal without readings of its own is taken to do. */
export interface GroupGain {
  readonly meanKgPerDay: KilogramsPerDay;
  /** Variance of the gains in it, (kg a day) squared; undefined for a group of one. */
  readonly variance: number | undefined;
}

export interface WeightAhead {
  /** The last daily reading, and days since it. */
  readonly kg: Kilograms;
  readonly daysSince: Days;
  readonly gain: KilogramsPerDay;
  /** How far the own gain was believed against the group's, 0 to 1. */
  readonly ownShare: number;
  readonly isPlateau: boolean;
  readonly readingSd: Kilograms;
  readonly gainSd: KilogramsPerDay;
  readonly byCurve: boolean;
  kgIn(days: Days): Kilograms;
  sdIn(days: Days): Kilograms;
}

export interface WeightQuestion {
  /** As `dailyReadings` gives them, guesses set right. */
  readonly daily: readonly Reading[];
  readonly today: Day;
  readonly bornOn: Day | undefined;
  readonly group: GroupGain | undefined;
  readonly isPlateau: boolean;
  readonly curve: GrowthCurve | undefined;
}

/**
 * What an animal will weigh in so many days: its last reading, its own gain of the last 42 days believed against the
 * group's by h = V / (V + SE^2), or along its own fitted curve, shifted through the last reading.
 * @returns undefined of one that was never weighed, or whose gain nothing tells: no other weight, group or birth
 */
export function weightAhead(asked: WeightQuestion, settings: SpeciesSettings): WeightAhead | undefined {
  const { daily, today, bornOn, group, isPlateau } = asked;
  const last = daily.findLast((r) => r.on <= today);
  if (!last) return undefined;
  const s0 = readingSd(last.kg, settings);
  const daysSince = today - last.on;
  const pace =
    (isPlateau ? plateauPace(daily, today, settings) : paceOf(daily, today, group, settings)) ??
    pacedSinceBirth(last, bornOn, settings);
  if (!pace) return undefined;
  const curve = !isPlateau && asked.curve?.kind === 'curve' && bornOn !== undefined ? asked.curve : undefined;
  const grown = (n: Days): Kilograms =>
    curve && bornOn !== undefined
      ? curve.kgAt(today - bornOn + n) - curve.kgAt(last.on - bornOn)
      : pace.gain * (n + daysSince);
  return {
    kg: last.kg,
    daysSince,
    gain: pace.gain,
    ownShare: pace.ownShare,
    isPlateau,
    readingSd: s0,
    gainSd: pace.sd,
    byCurve: curve !== undefined,
    kgIn: (n) => last.kg + grown(n),
    // By the root: the careful hypotenuse takes many times as long, and these are kilograms.
    sdIn: (n) => Math.sqrt(s0 ** 2 + ((n + daysSince) * pace.sd) ** 2),
  };
}

interface Pace {
  readonly gain: KilogramsPerDay;
  readonly sd: KilogramsPerDay;
  readonly ownShare: number;
}

function paceOf(
  daily: readonly Reading[],
  today: Day,
  group: GroupGain | undefined,
  settings: SpeciesSettings,
): Pace | undefined {
  const own = gainOverPeriod(daily, { from: (today - OWN_DAYS) as Day, to: today }, settings);
  if (own.kind === 'no-gain') return group && { gain: group.meanKgPerDay, sd: spreadOf(group), ownShare: 0 };
  // A group of one has nothing to pull towards.
  if (!group || group.variance === undefined) return { gain: own.kgPerDay, sd: own.standardError, ownShare: 1 };
  const variance = group.variance;
  const h = variance / (variance + own.standardError ** 2);
  return {
    gain: h * own.kgPerDay + (1 - h) * group.meanKgPerDay,
    sd: h === 0 ? Math.sqrt(variance) : Math.sqrt(h) * own.standardError,
    ownShare: h,
  };
}

/** How far one may be off its group's mean; where only one of them has a gain, half of it. */
const spreadOf = ({ meanKgPerDay, variance }: GroupGain): KilogramsPerDay =>
  variance === undefined ? GUESSED_SD_SHARE * Math.abs(meanKgPerDay) : Math.sqrt(variance);

/** So far a gain may be off that was guessed from a single other. */
const GUESSED_SD_SHARE = 0.5;

/** Weighed once, and nobody to go by: what it has gained a day since a usual birth weight, and far from sure. */
function pacedSinceBirth(last: Reading, bornOn: Day | undefined, settings: SpeciesSettings): Pace | undefined {
  if (bornOn === undefined || last.on <= bornOn) return undefined;
  const gain = Math.max(0, (last.kg - (settings.birthWeightKg[0] ?? 0)) / (last.on - bornOn));
  return { gain, sd: GUESSED_SD_SHARE * gain, ownShare: 1 };
}

function plateauPace(daily: readonly Reading[], today: Day, settings: SpeciesSettings): Pace | undefined {
  const own = gainOverPeriod(daily, { from: (today - PLATEAU_DAYS) as Day, to: today }, settings);
  return own.kind === 'gain' ? { gain: own.kgPerDay, sd: own.standardError, ownShare: 1 } : undefined;
}

/** The best gain of any 42 days is what a plateau is held against. */
const SLOW_SHARE = 1 / 3;

/**
 * Whether it stands on a plateau: at its last two weighings the gain of 21 days was under a third of the best gain of 42
 * days before, or under the gain that pays for its keep.
 * @param daily  as `dailyReadings` gives them
 * @param breakeven kilograms a day; undefined where no gain is asked for
 */
export function onPlateau(
  daily: readonly Reading[],
  breakeven: KilogramsPerDay | undefined,
  settings: SpeciesSettings,
): boolean {
  const overDays = (to: Day, days: Days): KilogramsPerDay | undefined => {
    const gain = gainOverPeriod(daily, { from: (to - days) as Day, to }, settings);
    return gain.kind === 'gain' ? gain.kgPerDay : undefined;
  };
  const isSlow = (at: Reading): boolean => {
    const now = overDays(at.on, PLATEAU_DAYS);
    if (now === undefined) return false;
    const best = Math.max(...daily.filter((r) => r.on <= at.on).map((r) => overDays(r.on, OWN_DAYS) ?? -Infinity));
    return now < SLOW_SHARE * best || (breakeven !== undefined && now < breakeven);
  };
  return daily.length >= 2 && daily.slice(-2).every(isSlow);
}
