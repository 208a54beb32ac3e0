import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { normalShareBelow } from '../statistics';

/** One thing that speaks for or against carrying, and what is known after it. */
export interface CarryingSign {
  readonly kind: 'served' | 'no-return' | 'returned' | 'refused';
  readonly on: Day;
  /** Probability of carrying once this is known. */
  readonly after: number;
}

export interface CarryingChance {
  readonly probability: number;
  readonly story: readonly CarryingSign[];
}

/**
 * Bayes' rule for a sign.
 * @param ifCarrying  probability of the sign in one that carries
 * @param ifEmpty     in one that does not
 */
export const updated = (prior: number, ifCarrying: number, ifEmpty: number): number => {
  const both = prior * ifCarrying + (1 - prior) * ifEmpty;
  return both === 0 ? prior : (prior * ifCarrying) / both;
};

/** The holding's own share is believed like so many services, before any of its own are counted. */
export const PRIOR_SERVICES = 10;

/** Share of services that take, the species' figure drawn toward the holding's own (mean of a Beta posterior). */
export const takingShare = (usual: number, took: number, of: number): number =>
  (usual * PRIOR_SERVICES + took) / (PRIOR_SERVICES + of);

/** Offered again some days later, most that carry refuse the male, and so do some that are empty. Rules of thumb. */
const REFUSES_CARRYING = 0.85;
const REFUSES_EMPTY = 0.35;
/** Some that carry are seen on heat all the same. Rule of thumb. */
const HEAT_WHILE_CARRYING = 0.03;

export interface AfterService {
  readonly servedOn: Day;
  /** Share of services that take. */
  readonly prior: number;
  readonly returnedOn: Day | undefined;
  /** The last day she refused the male since. */
  readonly refusedOn?: Day | undefined;
}

/**
 * Probability that a service took, with how it came to be. An empty female comes back on heat a cycle later, spread as
 * the cycles of her species are (its usual range being two SD to each side), and is seen with the share of heats that
 * are seen; each day without it speaks a little more for carrying, to the end of the cycle's range. Where there is no
 * cycle, as in rabbits, a check mating refused speaks for it.
 */
export function carryingChance(
  { servedOn, prior, returnedOn, refusedOn }: AfterService,
  { heatCycleDays: c, mating }: Pick<SpeciesSettings, 'heatCycleDays' | 'mating'>,
  asOf: Day,
): CarryingChance {
  const story: CarryingSign[] = [{ kind: 'served', on: servedOn, after: prior }];
  if (returnedOn !== undefined) {
    const after = updated(prior, HEAT_WHILE_CARRYING, mating.heatsSeenShare);
    return { probability: after, story: [...story, { kind: 'returned', on: returnedOn, after }] };
  }
  let probability = prior;
  if (refusedOn !== undefined) {
    probability = updated(probability, REFUSES_CARRYING, REFUSES_EMPTY);
    story.push({ kind: 'refused', on: refusedOn, after: probability });
  }
  const days = asOf - servedOn;
  if (c.mean === 0 || days < c.from) return { probability, story };
  const sd = Math.max(0.5, (c.to - c.from) / 4);
  const wouldBeBack = normalShareBelow(days, c.mean, sd);
  const after = updated(probability, 1 - HEAT_WHILE_CARRYING * wouldBeBack, 1 - mating.heatsSeenShare * wouldBeBack);
  return { probability: after, story: [...story, { kind: 'no-return', on: asOf, after }] };
}
