import { addDays, type Day } from '../calendar';
import { TEST_WAYS, type SpeciesSettings } from '../species';
import { normalShareBelow } from '../statistics';

export const TEST_RESULTS = ['carrying', 'empty', 'doubtful'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

/** A test, or late in it the sight of udder and belly. */
export const EVIDENCE_WAYS = [...TEST_WAYS, 'sight'] as const;
export type EvidenceWay = (typeof EVIDENCE_WAYS)[number];

/** What a scanner may find beside young. */
export const SCAN_FINDINGS = ['lost-early', 'dead', 'fluid', 'pus', 'unequal'] as const;
export type ScanFinding = (typeof SCAN_FINDINGS)[number];

export const LOSS_WAYS = ['slipped', 'absorbed', 'other'] as const;
export type LossWay = (typeof LOSS_WAYS)[number];

/** From so much on she counts as very likely in young; under so little she is taken as empty. Rules of thumb. */
export const VERY_LIKELY = 0.9;
export const EMPTY_UNDER = 0.1;

/** What a test said, as evidence. */
export interface TestReading {
  readonly on: Day;
  readonly way: EvidenceWay;
  readonly result: TestResult;
  /** Made before it can tell: its result is doubtful whatever it was. */
  readonly isTooSoon: boolean;
}

/** One thing that speaks for or against carrying, and what is known after it. */
export interface CarryingSign {
  readonly kind: 'served' | 'no-return' | 'returned' | 'refused' | 'tested' | 'no-birth' | 'lost';
  readonly on: Day;
  /** Probability of carrying once this is known. */
  readonly after: number;
  /** How much likelier it is seen in one that carries than in an empty one; 1 says nothing. */
  readonly weight: number;
  /** Of a test. */
  readonly test?: TestReading;
}

/** Two things that cannot both be right, or hardly. */
export interface Contradiction {
  readonly earlier: CarryingSign;
  readonly later: CarryingSign;
}

export interface CarryingChance {
  readonly probability: number;
  readonly story: readonly CarryingSign[];
  readonly contradictions: readonly Contradiction[];
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
/** Udder and belly late on: found in those that carry, not found in those that are empty. Rule of thumb. */
const SIGHT = { sensitivity: 0.85, specificity: 0.9 };
/** A sign so many times likelier one way than the other is not to be talked away by one that says the opposite. */
const FIRM = 4;

export interface AfterService {
  readonly servedOn: Day;
  /** Chance that she carries once she is served: from this service, or still from one before it. */
  readonly prior: number;
  readonly returnedOn: Day | undefined;
  /** The share of her days of birth that is still to come, should she carry; 1 where none is gone by. */
  readonly stillToCome?: number;
  /** The last day she refused the male since. */
  readonly refusedOn?: Day | undefined;
  /** Tests since, in any order. */
  readonly tests?: readonly TestReading[];
  /** The day she was found to have lost it. */
  readonly lostOn?: Day | undefined;
}

/** How likely a sign is in one that carries and in an empty one. */
interface Likelihood {
  readonly kind: CarryingSign['kind'];
  readonly on: Day;
  readonly ifCarrying: number;
  readonly ifEmpty: number;
  readonly test?: TestReading;
}

/**
 * Probability that a service took and still holds, with how it came to be, sign by sign in order of day. An empty
 * female comes back on heat a cycle later, spread as the cycles of her species are (its usual range being two SD to
 * each side), and is seen with the share of heats that are seen; each day without it speaks a little more for
 * carrying, to the end of the cycle's range. Where there is no cycle, as in rabbits, a check mating refused speaks for
 * it. Tests are taken as independent of each other and of the rest given the true state; a doubtful one, or one made
 * before it can tell, changes nothing and stands in the story. Days that might have brought the birth and did not speak against
 * carrying by as much as they held of it.
 */
export function carryingChance(
  { servedOn, prior, returnedOn, refusedOn, tests = [], lostOn, stillToCome = 1 }: AfterService,
  settings: Pick<SpeciesSettings, 'heatCycleDays' | 'mating' | 'tests'>,
  asOf: Day,
): CarryingChance {
  const { mating } = settings;
  const signs: Likelihood[] = [
    ...tests.filter((t) => t.on <= asOf).map((t) => testLikelihood(t, settings)),
    ...(returnedOn === undefined ? noReturn(servedOn, settings, asOf) : []),
  ];
  if (returnedOn !== undefined)
    signs.push({ kind: 'returned', on: returnedOn, ifCarrying: HEAT_WHILE_CARRYING, ifEmpty: mating.heatsSeenShare });
  // Who came back on heat is not asked whether she refused before it.
  else if (refusedOn !== undefined)
    signs.push({ kind: 'refused', on: refusedOn, ifCarrying: REFUSES_CARRYING, ifEmpty: REFUSES_EMPTY });
  // All of her days, but for the rounding of their sum: nothing to tell of yet.
  if (stillToCome < 1 - 1e-9) signs.push({ kind: 'no-birth', on: asOf, ifCarrying: stillToCome, ifEmpty: 1 });
  if (lostOn !== undefined && lostOn <= asOf) signs.push({ kind: 'lost', on: lostOn, ifCarrying: 0, ifEmpty: 1 });
  const story: CarryingSign[] = [{ kind: 'served', on: servedOn, after: prior, weight: 1 }];
  let probability = prior;
  // What says nothing new of a day stands after what does: a loss is known by what found it.
  for (const sign of signs.sort((a, b) => a.on - b.on || Number(a.kind === 'lost') - Number(b.kind === 'lost'))) {
    const { kind, on, ifCarrying, ifEmpty, test } = sign;
    // A loss is no likelihood: she carries no more, whatever was thought.
    probability = kind === 'lost' ? 0 : updated(probability, ifCarrying, ifEmpty);
    story.push({ kind, on, after: probability, weight: ifCarrying / ifEmpty, ...(test ? { test } : {}) });
  }
  return { probability, story, contradictions: contradictionsIn(story) };
}

/** Not seen back on heat: said of the day it is known fully, or of today while it is not. */
function noReturn(
  servedOn: Day,
  { heatCycleDays: c, mating }: Pick<SpeciesSettings, 'heatCycleDays' | 'mating'>,
  asOf: Day,
): Likelihood[] {
  const days = asOf - servedOn;
  if (c.mean === 0 || days < c.from) return [];
  const wouldBeBack = normalShareBelow(days, c.mean, Math.max(0.5, (c.to - c.from) / 4));
  return [
    {
      kind: 'no-return',
      on: Math.min(asOf, addDays(servedOn, c.to)) as Day,
      ifCarrying: 1 - HEAT_WHILE_CARRYING * wouldBeBack,
      ifEmpty: 1 - mating.heatsSeenShare * wouldBeBack,
    },
  ];
}

function testLikelihood(test: TestReading, { tests }: Pick<SpeciesSettings, 'tests'>): Likelihood {
  const base = { kind: 'tested', on: test.on, test } as const;
  const rules = test.way === 'sight' ? SIGHT : tests[test.way];
  if (!rules || test.result === 'doubtful' || test.isTooSoon) return { ...base, ifCarrying: 1, ifEmpty: 1 };
  const { sensitivity, specificity } = rules;
  return test.result === 'carrying'
    ? { ...base, ifCarrying: sensitivity, ifEmpty: 1 - specificity }
    : { ...base, ifCarrying: 1 - sensitivity, ifEmpty: specificity };
}

function contradictionsIn(story: readonly CarryingSign[]): Contradiction[] {
  const firm = story.filter(
    (s) => s.kind !== 'lost' && s.kind !== 'no-birth' && (s.weight >= FIRM || s.weight <= 1 / FIRM),
  );
  return firm.flatMap((later, i) => {
    const earlier = firm.slice(0, i).findLast((e) => e.weight > 1 !== later.weight > 1);
    return earlier ? [{ earlier, later }] : [];
  });
}
