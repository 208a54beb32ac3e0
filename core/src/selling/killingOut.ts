import { bySpecies, SPECIES_TABLE, type KillingKind, type Species } from '../species';
import { mean } from '../statistics';
import type { Days, Kilograms } from '../units';

export const USUAL_KILLING_OUT: Readonly<Record<KillingKind, number>> = {
  lamb: 0.46,
  kid: 0.47,
  rabbit: 0.55,
  beef: 0.55,
  'dairy-cross': 0.52,
  dairy: 0.48,
};
/** The default is worth so many heads. */
const DEFAULT_WORTH = 10;
/** A live weight older than this says nothing of what was killed. */
const LIVE_WEIGHT_DAYS: Days = 3;

/** What is reckoned with of each species before there are results. */
export const USUAL_BY_SPECIES: Readonly<Record<Species, number>> = bySpecies(
  (species) => USUAL_KILLING_OUT[SPECIES_TABLE[species].selling.killingKind],
);

export interface KilledHead {
  readonly kind: KillingKind;
  readonly carcassKg: Kilograms;
  readonly liveKg: Kilograms;
  /** From the live weight to the day it was killed. */
  readonly daysBefore: Days;
}

export interface KillingOut {
  readonly share: number;
  /** Heads of the holding's own in it. */
  readonly heads: number;
}

/** Carcass weight over live weight: the default, and the holding's own heads weighed alive at most three days before. */
export function killingOut(killed: readonly KilledHead[], kind: KillingKind): KillingOut {
  const own = killed
    .filter((k) => k.kind === kind && k.daysBefore >= 0 && k.daysBefore <= LIVE_WEIGHT_DAYS && k.liveKg > 0)
    .map((k) => k.carcassKg / k.liveKg);
  const n = own.length;
  const share = (n * (mean(own) ?? 0) + DEFAULT_WORTH * USUAL_KILLING_OUT[kind]) / (n + DEFAULT_WORTH);
  return { share, heads: n };
}
