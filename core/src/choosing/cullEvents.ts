import { addDays, type Day } from '../calendar';
import type { Mothering, Ease } from '../births';
import type { NoResponse } from '../condition';
import type { MalePart, PartGrade } from '../mating';
import type { LitterTrend, RearedPerYear } from '../rearing';
import type { GeneResult } from '../pedigree';
import type { Proportion } from '../statistics';
import { isFailedGrade, type Look } from './byEye';
import { ALARM_OPEN_DAYS, type CullEvent, type CullEvents } from './cullRules';
import type { Standard } from './standards';

interface Told {
  readonly entryId: string;
  readonly on: Day;
}

/** What is on record of a grown animal, and the figures that other places show of it. */
export interface CullFacts {
  /** Asked of it. */
  readonly standards: readonly Standard[];
  readonly looks: readonly Look[];
  readonly checks: readonly (Told & { readonly what: string; readonly isFound: boolean })[];
  readonly births: readonly (Told & { readonly ease: Ease; readonly mothering: Mothering | undefined })[];
  readonly treatments: readonly (Told & { readonly reason: string | undefined })[];
  readonly geneTests: readonly (Told & { readonly gene: string; readonly result: GeneResult })[];
  readonly maleChecks: readonly (Told & { readonly grades: Readonly<Partial<Record<MalePart, PartGrade>>> })[];
  /** Seasons without a birth, by their last service. */
  readonly barrenOn: readonly Day[];
  readonly noResponse: NoResponse | undefined;
  readonly litterTrend: { readonly on: Day; readonly trend: LitterTrend } | undefined;
  readonly reared: { readonly on: Day; readonly own: RearedPerYear; readonly herd: number } | undefined;
  /** Since when every weight gives the alarm, and the share it weighs of its usual. */
  readonly alarm: { readonly since: Day; readonly share: number } | undefined;
  /** Females served in the last year with a known result. */
  readonly conception: { readonly on: Day; readonly share: Proportion; readonly least: number } | undefined;
  readonly today: Day;
}

/** Shipped standards by what they say of an animal; a holding's own count by the same name. */
const OF_STANDARDS = {
  mouth: ['mouth', 'bite', 'teeth'],
  udder: ['udder'],
  feet: ['feet', 'legs', 'pasterns'],
  temper: ['temper'],
} as const;

const OF_CHECKS = { mouth: 'teeth', udder: 'udder', feet: 'feet', temper: 'temper' } as const;
type Seen = keyof typeof OF_STANDARDS;

/** Litters and females fewer than these say nothing. */
const REARED_FROM_LITTERS = 3;
const CONCEPTION_FROM = 5;

/** What happened to an animal, by the kind of rule that counts it. */
export function cullEvents(facts: CullFacts): CullEvents {
  const { births, today, noResponse, litterTrend, reared, alarm, conception } = facts;
  const { trend } = litterTrend ?? {};
  return {
    empty: facts.barrenOn.map((on) => ({ on })),
    mouth: ifLastIsBad(seen(facts, 'mouth')),
    udder: ifLastIsBad(seen(facts, 'udder')),
    feet: bad(seen(facts, 'feet')),
    temper: [
      ...bad(seen(facts, 'temper')),
      ...facts.maleChecks.flatMap(({ on, entryId, grades }) => (grades.temper === 'fail' ? [{ on, entryId }] : [])),
    ].sort((a, b) => a.on - b.on),
    prolapse: facts.checks.flatMap(({ on, entryId, what, isFound }) =>
      what === 'prolapse' && isFound ? [{ on, entryId }] : [],
    ),
    mothering: births.flatMap(({ on, entryId, mothering }) => (mothering === 'refuses' ? [{ on, entryId }] : [])),
    'hard-birth': births.flatMap(({ on, entryId, ease }) =>
      ease === 'pulled-hard' || ease === 'vet' ? [{ on, entryId }] : [],
    ),
    'no-response':
      noResponse && noResponse.suggestion !== 'treat' ? [{ on: noResponse.to.on, figure: noResponse.days }] : [],
    'litters-falling':
      litterTrend && trend?.kind === 'falling' ? [{ on: litterTrend.on, figure: trend.perLitter }] : [],
    'rears-few':
      reared && reared.own.litters >= REARED_FROM_LITTERS && reared.own.high < reared.herd
        ? [{ on: reared.on, figure: reared.own.perYear }]
        : [],
    'weight-alarm':
      alarm && today - alarm.since >= ALARM_OPEN_DAYS
        ? [{ on: addDays(alarm.since, ALARM_OPEN_DAYS), figure: alarm.share }]
        : [],
    conception:
      conception && conception.share.of >= CONCEPTION_FROM && conception.share.high < conception.least
        ? [{ on: conception.on, figure: conception.share.share }]
        : [],
    'male-check': failedCheck(facts.maleChecks.at(-1)),
    treated: facts.treatments.map(({ on, entryId, reason }) => ({ on, entryId, what: reason })),
    affected: facts.geneTests.flatMap(({ on, entryId, gene, result }) =>
      result === 'affected' ? [{ on, entryId, what: gene }] : [],
    ),
  };
}

interface Judged extends CullEvent {
  readonly isBad: boolean;
}

/** Each time it was looked at for something, by a standard of the look-over or by itself. */
function seen({ standards, looks, checks }: CullFacts, what: Seen): Judged[] {
  const names: readonly string[] = OF_STANDARDS[what];
  const asked = standards.filter((s) => names.includes(s.name.trim().toLowerCase()));
  const ofLooks = looks.flatMap(({ on, entryId, grades }): Judged[] => {
    const graded = asked.filter((s) => grades[s.id] !== undefined);
    if (graded.length === 0) return [];
    const failed = graded.find((s) => isFailedGrade(s, grades[s.id] ?? 'pass'));
    return [{ on, entryId, isBad: failed !== undefined, ...(failed ? { what: failed.name } : {}) }];
  });
  const ofChecks = checks.flatMap((c): Judged[] =>
    c.what === OF_CHECKS[what] ? [{ on: c.on, entryId: c.entryId, isBad: c.isFound }] : [],
  );
  return [...ofLooks, ...ofChecks].sort((a, b) => a.on - b.on);
}

const asEvent = ({ isBad: _, ...event }: Judged): CullEvent => event;
const bad = (all: readonly Judged[]): CullEvent[] => all.filter((j) => j.isBad).map(asEvent);
/** The last record decides: a later good one clears it. */
function ifLastIsBad(all: readonly Judged[]): CullEvent[] {
  const last = all.at(-1);
  return last?.isBad ? [asEvent(last)] : [];
}

function failedCheck(last: CullFacts['maleChecks'][number] | undefined): CullEvent[] {
  const parts = Object.entries(last?.grades ?? {}).flatMap(([part, grade]) => (grade === 'fail' ? [part] : []));
  return last && parts.length > 0 ? [{ on: last.on, entryId: last.entryId, what: parts.join(', ') }] : [];
}
