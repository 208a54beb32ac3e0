import type { AnimalFacts, CarcassFact, DepartureFact } from '../book';
import type { Day } from '../calendar';
import type { Reading } from '../growth';
import {
  afterUsualCharges,
  chancesAhead,
  EYE_SD,
  expectedAgainstPaid,
  fatRate,
  graderHabit,
  isPaidDead,
  killingOut,
  OWN_DAYS,
  pricesOn,
  thoughtClasses,
  weightAhead,
  type Difference,
  type GradedPair,
  type GraderHabit,
  type Habits,
  type KilledHead,
  type Outlet,
} from '../selling';
import type { FatGroup, SpeciesSettings } from '../species';
import { saleFacts } from './forSale';

/** One that was sold, with what came back of it. */
export interface SaleRecord {
  readonly facts: AnimalFacts;
  readonly left: DepartureFact;
  readonly carcass: CarcassFact | undefined;
  readonly outletId: string | undefined;
}

/** The sale an animal left by. @returns undefined of one that is here, died or got lost */
export function saleRecord(facts: AnimalFacts): SaleRecord | undefined {
  const left = facts.departures.findLast((d) => d.how === 'sold' || d.how === 'slaughtered');
  if (!left) return undefined;
  const carcass = facts.carcasses.at(-1);
  return { facts, left, carcass, outletId: left.outletId ?? carcass?.outletId };
}

/** What a head that was killed says of killing-out: its carcass, and its last live weight with the days between. */
export function killedHead(
  { left, carcass }: SaleRecord,
  daily: readonly Reading[],
  { selling }: SpeciesSettings,
): KilledHead | undefined {
  if (!carcass) return undefined;
  const scale = daily.findLast((r) => r.on <= carcass.on);
  const live = left.kg === undefined ? scale : { kg: left.kg, on: left.on };
  return (
    live && {
      kind: selling.killingKind,
      carcassKg: carcass.carcassKg,
      liveKg: live.kg,
      daysBefore: carcass.on - live.on,
    }
  );
}

/** What was thought of its class at its last feel before it left. */
interface FeltBefore {
  readonly shape: number | undefined;
  /** Carried on to a day by the rate at which it laid on fat. */
  fatOn(day: Day): number | undefined;
}

/**
 * Own estimates before the sale. One felt longer ago than 42 days says nothing of the eye; fat is carried on from the
 * feel to the day it was graded, so that what grew meanwhile is not taken for a habit of the grader.
 */
function feltBefore({ facts, left }: SaleRecord, settings: SpeciesSettings, group: FatGroup): FeltBefore {
  const { shape, felt } = saleFacts(facts, left.on, settings);
  const last = felt.at(-1);
  const isRecent = (on: Day): boolean => left.on - on <= OWN_DAYS;
  return {
    shape: shape && isRecent(shape.on) ? shape.step : undefined,
    fatOn: (day) => (last && isRecent(last.on) ? last.fat + fatRate(felt, group).perDay * (day - last.on) : undefined),
  };
}

/** Pairs of own estimate and grader, for shape and for fat. */
export interface GradedPairs {
  readonly shape: readonly GradedPair[];
  readonly fat: readonly GradedPair[];
}

export function gradedPairs(
  records: readonly SaleRecord[],
  settings: SpeciesSettings,
  groupOf: (facts: AnimalFacts) => FatGroup,
): GradedPairs {
  const shape: GradedPair[] = [];
  const fat: GradedPair[] = [];
  for (const record of records) {
    const { carcass, outletId, facts } = record;
    if (!carcass || outletId === undefined) continue;
    const breedGroup = groupOf(facts);
    const own = feltBefore(record, settings, breedGroup);
    const ownFat = own.fatOn(carcass.on);
    if (carcass.shape !== undefined && own.shape !== undefined)
      shape.push({ outletId, breedGroup, difference: carcass.shape - own.shape });
    if (carcass.fat !== undefined && ownFat !== undefined)
      fat.push({ outletId, breedGroup, difference: carcass.fat - ownFat });
  }
  return { shape, fat };
}

/** How an outlet's grader sees what is felt here, of a breed group or of all. */
export const habitsAt = (
  { shape, fat }: GradedPairs,
  outletId: string,
  breedGroup: FatGroup | undefined,
): { readonly shape: GraderHabit; readonly fat: GraderHabit } & Habits => ({
  shape: graderHabit(shape, outletId, breedGroup, EYE_SD.shape),
  fat: graderHabit(fat, outletId, breedGroup, EYE_SD.fat),
});

/** What came in for one head: as it was paid, and with its charges off. Hundredths of money. */
export interface Paid {
  readonly grossMinor: number;
  readonly netMinor: number;
}

/**
 * What a sale brought. Where the charges were not said, those the outlet usually takes are off.
 * @param outlet undefined where it was sold elsewhere: nothing is taken off then
 * @returns undefined where nothing was paid yet, or nobody said how much
 */
export function paidFor({ left, carcass }: SaleRecord, outlet: Outlet | undefined): Paid | undefined {
  const isDead = outlet ? isPaidDead(outlet.payBy) : carcass?.priceMinor !== undefined;
  const grossMinor = isDead ? carcass?.priceMinor : left.priceMinor;
  if (grossMinor === undefined) return undefined;
  if (carcass?.deductedMinor !== undefined) return { grossMinor, netMinor: grossMinor - carcass.deductedMinor };
  return { grossMinor, netMinor: outlet ? afterUsualCharges(grossMinor, outlet) : grossMinor };
}

/** What was known of the holding's sales before one of them. */
export interface KnownBefore {
  readonly pairs: GradedPairs;
  readonly killed: readonly KilledHead[];
  readonly daily: readonly Reading[];
  readonly group: FatGroup;
}

/**
 * Paid against expected of one sale: what was thought of it at its last estimate before, at the prices of that day,
 * against what it brought, its charges off. Where the charges were not said, those of the outlet are taken.
 * @returns undefined where nothing was paid yet, or what was expected cannot be told
 */
export function saleDifference(
  record: SaleRecord,
  outlet: Outlet,
  settings: SpeciesSettings,
  known: KnownBefore,
): Difference | undefined {
  const { facts, left, carcass } = record;
  const { pairs, killed, daily, group } = known;
  const isDead = isPaidDead(outlet.payBy);
  const before = daily.filter((r) => r.on <= left.on);
  const last = before.at(-1);
  const ahead = weightAhead(
    {
      daily: before,
      today: left.on,
      bornOn: facts.record.bornOn,
      group: undefined,
      isPlateau: false,
      curve: undefined,
    },
    settings,
  );
  const day = isDead ? (carcass?.on ?? left.on) : left.on;
  const prices = pricesOn(outlet.prices, day);
  const paid = paidFor(record, outlet);
  if (!ahead || !last || !prices || !paid) return undefined;
  const share = killingOut(killed, settings.selling.killingKind).share;
  const classes = thoughtClasses(
    saleFacts(facts, left.on, settings),
    left.on,
    group,
    habitsAt(pairs, outlet.id, group),
  );
  const graded =
    carcass?.shape === undefined || carcass.fat === undefined ? undefined : { shape: carcass.shape, fat: carcass.fat };
  return expectedAgainstPaid(
    {
      weight: { kg: ahead.kgIn(0), sd: ahead.sdIn(0) },
      killingOut: share,
      classes: classes && chancesAhead(classes)(0),
      prices: pricesOn(outlet.prices, last.on) ?? prices,
    },
    { liveKg: left.kg, carcassKg: carcass?.carcassKg, graded, prices, ...paid },
    outlet,
  );
}
