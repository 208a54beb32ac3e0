import { addDays, addMonths, addYears, type Day } from '../calendar';
import { SPECIES, type Sex, type Species } from '../species';
import type { Days } from '../units';

/** What speaks against keeping a grown animal. */
export const CULL_FACTS = [
  'empty',
  'age',
  'mouth',
  'udder',
  'feet',
  'prolapse',
  'mothering',
  'hard-birth',
  'no-response',
  'litters-falling',
  'rears-few',
  'weight-alarm',
  'temper',
  'conception',
  'male-check',
  'treated',
  'affected',
] as const;
export type CullFact = (typeof CULL_FACTS)[number];

/** When it goes, the most urgent first. */
export const CULL_WEIGHTS = ['now', 'season-end', 'watch'] as const;
export type CullWeight = (typeof CULL_WEIGHTS)[number];

/** A rule as a row that a holding edits. */
export interface CullRule {
  readonly species: Species;
  readonly sex: 'female' | 'male' | 'any';
  readonly fact: CullFact;
  /** So often and it hits; of the age it is once. */
  readonly times: number;
  /** Chances the holding grants beyond those that `times` gives. */
  readonly granted: number;
  readonly weight: CullWeight;
  /** Only of the age: past this birthday, whole years or halves. */
  readonly years?: number;
}

/** One thing that happened, as a rule counts it. */
export interface CullEvent {
  readonly on: Day;
  /** The entry it was written in; none where it follows from several. */
  readonly entryId?: string | undefined;
  /** What it says, in words of the book: a standard, a gene, what was treated; or a figure. */
  readonly what?: string | undefined;
  readonly figure?: number | undefined;
}

/** What is known of a grown animal for one kind of rule. */
export type CullEvents = Readonly<Partial<Record<CullFact, readonly CullEvent[]>>>;

export interface CullHit {
  readonly rule: CullRule;
  /** Those that count, oldest first. */
  readonly evidence: readonly CullEvent[];
  readonly chancesUsed: number;
  readonly chances: number;
}

/** In a year are events up to 365 days ago. */
const YEAR_DAYS = 365;
/** Lame or treated for the same thing so soon again is the same bout. */
const BOUT_DAYS = 14;

/** Facts of which only bouts of the last year count. */
const IN_BOUTS: readonly CullFact[] = ['feet', 'treated'];

/** Years of age past which an animal goes. Rules of thumb. */
const GOES_AT: Readonly<Record<Species, Readonly<Record<'female' | 'male', number>>>> = {
  sheep: { female: 7, male: 6 },
  goat: { female: 8, male: 6 },
  rabbit: { female: 3.5, male: 4 },
  cattle: { female: 12, male: 8 },
};

const rule = (
  species: Species,
  sex: CullRule['sex'],
  fact: CullFact,
  times = 1,
  weight: CullWeight = 'season-end',
  years?: number,
): CullRule => ({ species, sex, fact, times, granted: 0, weight, ...(years === undefined ? {} : { years }) });

/** What a new holding begins with; each makes its own of it. */
export const USUAL_CULL_RULES: readonly CullRule[] = SPECIES.flatMap((species) => [
  rule(species, 'any', 'temper', 1, 'now'),
  rule(species, 'female', 'empty', 2),
  rule(species, 'female', 'age', 1, 'season-end', GOES_AT[species].female),
  rule(species, 'male', 'age', 1, 'season-end', GOES_AT[species].male),
  rule(species, 'any', 'mouth'),
  rule(species, 'female', 'udder'),
  rule(species, 'any', 'feet', 2),
  rule(species, 'female', 'prolapse'),
  rule(species, 'female', 'mothering', 2),
  rule(species, 'female', 'hard-birth', 2),
  rule(species, 'any', 'no-response'),
  rule(species, 'female', 'litters-falling'),
  rule(species, 'female', 'rears-few'),
  rule(species, 'male', 'conception'),
  rule(species, 'male', 'male-check'),
  rule(species, 'any', 'treated', 3),
  rule(species, 'any', 'affected'),
  rule(species, 'any', 'weight-alarm', 1, 'watch'),
]);

/** An animal as the rules see it. */
export interface Grown {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day | undefined;
  readonly events: CullEvents;
}

/**
 * The rules that hit an animal, the most urgent first, then those with the most evidence. Chances given are the times
 * less one and what the holding grants; a rule hits with more events than chances. Feet and treatments count in bouts: an
 * event less than 14 days after the one before is the same, and only bouts up to 365 days ago count.
 */
export function cullHits(animal: Grown, rules: readonly CullRule[], today: Day): CullHit[] {
  return rules
    .flatMap((one): CullHit[] => {
      if (one.species !== animal.species || !isAskedOf(one, animal.sex)) return [];
      const evidence = one.fact === 'age' ? birthdayPast(one, animal, today) : counted(one.fact, animal.events, today);
      const chances = one.times - 1 + one.granted;
      return evidence.length > chances
        ? [{ rule: one, evidence, chancesUsed: Math.min(evidence.length, chances), chances }]
        : [];
    })
    .sort(
      (a, b) =>
        CULL_WEIGHTS.indexOf(a.rule.weight) - CULL_WEIGHTS.indexOf(b.rule.weight) ||
        b.evidence.length - a.evidence.length ||
        lastOn(b) - lastOn(a),
    );
}

/** Castrates are asked what is asked of any; no age ends them. */
const isAskedOf = ({ sex, fact }: CullRule, of: Sex): boolean =>
  sex === of || (sex === 'any' && !(fact === 'age' && of === 'castrate'));

/** The day of the last of a hit's evidence. */
export const lastOn = ({ evidence }: Pick<CullHit, 'evidence'>): Day => (evidence.at(-1) as CullEvent).on;

/** Past the birthday of a rule: the last birthday since, so that each further one is new evidence. */
function birthdayPast({ years = Infinity }: CullRule, { bornOn }: Grown, today: Day): CullEvent[] {
  if (bornOn === undefined || !Number.isFinite(years)) return [];
  const first = addMonths(bornOn, Math.round(years * 12));
  if (today < first) return [];
  let more = 0;
  while (addYears(first, more + 1) <= today) more++;
  return [{ on: addYears(first, more), figure: years + more }];
}

function counted(fact: CullFact, events: CullEvents, today: Day): readonly CullEvent[] {
  const known = events[fact] ?? [];
  if (!IN_BOUTS.includes(fact)) return known;
  return fact === 'treated' ? mostTreated(known, today) : bouts(known, today);
}

function bouts(events: readonly CullEvent[], today: Day): CullEvent[] {
  const inOrder = [...events].sort((a, b) => a.on - b.on);
  const firsts: CullEvent[] = [];
  let before: Day | undefined;
  for (const event of inOrder) {
    if (before === undefined || event.on - before >= BOUT_DAYS) firsts.push(event);
    before = event.on;
  }
  return firsts.filter((e) => today - e.on <= YEAR_DAYS);
}

/** Bouts of the one thing it was treated for most often. */
function mostTreated(events: readonly CullEvent[], today: Day): CullEvent[] {
  const byThing = new Map<string, CullEvent[]>();
  for (const event of events) {
    const thing = (event.what ?? '').trim().toLowerCase();
    if (thing === '') continue;
    const own = byThing.get(thing) ?? [];
    byThing.set(thing, own);
    own.push(event);
  }
  return [...byThing.values()].map((own) => bouts(own, today)).sort((a, b) => b.length - a.length)[0] ?? [];
}

/** What would clear a hit. */
export type Clears =
  | { readonly kind: 'never' }
  /** A later look, check or figure that is good. */
  | { readonly kind: 'good-record' }
  /** It passes when the oldest bout that counts is over a year ago. */
  | { readonly kind: 'on'; readonly on: Day };

/** A later good record clears what the last record decides; bouts run out; the rest stays. */
export function whatClears({ rule: { fact, times, granted }, evidence }: CullHit): Clears {
  switch (fact) {
    case 'mouth':
    case 'udder':
    case 'no-response':
    case 'litters-falling':
    case 'rears-few':
    case 'weight-alarm':
    case 'conception':
    case 'male-check':
      return { kind: 'good-record' };
    case 'feet':
    case 'treated': {
      const chances = times - 1 + granted;
      // With this one gone no more are left than there are chances.
      const runsOut = evidence[evidence.length - 1 - chances] as CullEvent;
      return { kind: 'on', on: addDays(runsOut.on, YEAR_DAYS + 1) };
    }
    case 'empty':
    case 'age':
    case 'prolapse':
    case 'mothering':
    case 'hard-birth':
    case 'temper':
    case 'affected':
      return { kind: 'never' };
  }
}

/** The suggestion of all hits together: that of the most urgent. */
export const suggestedWeight = (hits: readonly CullHit[]): CullWeight | undefined => hits[0]?.rule.weight;

/** A decision that an animal stays, with its reason. */
export interface Stays {
  readonly on: Day;
  readonly reason: string;
}

/** Hits that a decision to stay does not cover: their evidence is from after it. */
export const since = (hits: readonly CullHit[], stays: Stays | undefined): CullHit[] =>
  hits.filter((hit) => !stays || lastOn(hit) > stays.on);

/** Days an alarm stands open before it counts. */
export const ALARM_OPEN_DAYS: Days = 60;
