import type { Day } from '../calendar';
import type { GeneResult } from '../pedigree';
import type { Sex, Species } from '../species';
import type { LookGrade, Standard } from './standards';
import { JUDGED_FROM_DAYS } from './crops';

/** A look-over as it was written: in order of day, of one day the later written last. */
export interface Look {
  readonly entryId: string;
  readonly on: Day;
  readonly by: string;
  readonly grades: Readonly<Record<string, LookGrade>>;
}

/** A standard's grade, with the look it comes from. */
export interface Graded {
  readonly standard: Standard;
  readonly grade: LookGrade;
  readonly isFailed: boolean;
  readonly on: Day;
  readonly by: string;
  readonly entryId: string;
}

export const EYE_STATES = ['fails', 'passes', 'in-part', 'not-looked'] as const;
export type EyeState = (typeof EYE_STATES)[number];

export interface ByEye {
  readonly state: EyeState;
  /** What was failed, in the holding's order of standards; the first decides. */
  readonly failed: readonly Graded[];
  readonly graded: readonly Graded[];
  /** Standards without a grade that counts. */
  readonly missing: readonly Standard[];
  /** Of the point standards at the last look that has any. */
  readonly points: EyePoints | undefined;
}

export interface EyePoints {
  /** Mean, 0 to 5. */
  readonly mean: number;
  /** What whole points leave open: each lies anywhere within half a point. */
  readonly standardError: number;
}

/** SD of what lies anywhere between two whole points. */
const HALF_POINT_SD = 1 / Math.sqrt(12);

/** A grade says something of an animal for so long. */
const GRADE_GOOD_DAYS = 365;

/** The days a grade counts of: given so long after birth, both ends included. */
export interface GradesCounted {
  readonly from: Day | undefined;
  readonly to: Day;
}

/** Grades that count on a day: given at 42 days of age or later and a year ago or less. */
export const countedOn = (bornOn: Day | undefined, today: Day): GradesCounted => ({
  from: Math.max(today - GRADE_GOOD_DAYS, bornOn === undefined ? -Infinity : bornOn + JUDGED_FROM_DAYS) as Day,
  to: today,
});

/** Whether a grade fails its standard: a no-go, or points under the least. */
export const isFailedGrade = ({ kind, least }: Standard, grade: LookGrade): boolean =>
  kind === 'go' ? grade === 'fail' : typeof grade === 'number' && least !== undefined && grade < least;

/** The last grade that counts of each standard. @param standards those asked of the animal, in the holding's order */
export function gradesOf(
  standards: readonly Standard[],
  looks: readonly Look[],
  { from, to }: GradesCounted,
): Graded[] {
  const counted = looks.filter((l) => (from === undefined || l.on >= from) && l.on <= to);
  return standards.flatMap((standard): Graded[] => {
    const look = counted.findLast(({ grades }) => grades[standard.id] !== undefined);
    const grade = look?.grades[standard.id];
    if (!look || grade === undefined) return [];
    const { on, by, entryId } = look;
    return [{ standard, grade, isFailed: isFailedGrade(standard, grade), on, by, entryId }];
  });
}

/** A gene it was tested for. */
export interface GeneKnown {
  readonly gene: string;
  readonly result: GeneResult;
  readonly on: Day;
  readonly by: string;
  readonly entryId: string;
}

/**
 * Gene tests as go or no-go, the last of each gene: an affected animal fails, and a male that carries it, as he hands it
 * to half of all his young. They hold for life.
 */
export function genesOf(
  tests: readonly GeneKnown[],
  { species, sex }: { readonly species: Species; readonly sex: Sex },
): Graded[] {
  const last = new Map(tests.map((t) => [t.gene.trim().toLowerCase(), t]));
  return [...last.values()].map(({ gene, result, on, by, entryId }) => {
    const isFailed = result === 'affected' || (result === 'carrier' && sex === 'male');
    const standard: Standard = {
      id: `gene ${gene}`,
      species,
      sexes: [sex],
      name: `${gene}: ${result}`,
      fails: '',
      kind: 'go',
      rule: 'own',
    };
    return { standard, grade: isFailed ? 'fail' : 'pass', isFailed, on, by, entryId };
  });
}

/**
 * An animal against the standards asked of it. Any that is failed fails it; the first in the holding's order decides
 * and is named.
 * @param genes see `genesOf`; they fail it too, but are no look-over
 */
export function byEye(
  standards: readonly Standard[],
  looks: readonly Look[],
  counted: GradesCounted,
  genes: readonly Graded[] = [],
): ByEye {
  const graded = gradesOf(standards, looks, counted);
  const failed = [...graded, ...genes].filter((g) => g.isFailed);
  const missing = standards.filter((s) => !graded.some((g) => g.standard === s));
  const state =
    failed.length > 0 ? 'fails' : graded.length === 0 ? 'not-looked' : missing.length > 0 ? 'in-part' : 'passes';
  return { state, failed, graded: [...graded, ...genes], missing, points: pointsAtOneLook(graded) };
}

/** Mean of the point standards at one look: the last that has any. */
function pointsAtOneLook(graded: readonly Graded[]): EyePoints | undefined {
  const points = graded.filter((g): g is Graded & { readonly grade: number } => typeof g.grade === 'number');
  const last = points.reduce<Graded | undefined>((l, g) => (l && l.on >= g.on ? l : g), undefined);
  const ofLast = points.filter((g) => g.entryId === last?.entryId);
  if (ofLast.length === 0) return undefined;
  const mean = ofLast.reduce((s, g) => s + g.grade, 0) / ofLast.length;
  return { mean, standardError: HALF_POINT_SD / Math.sqrt(ofLast.length) };
}

/**
 * What becomes of one that fails: not for the herd book it may still be a good mother of the second string; for a rule
 * of the holding's own it is sold. The first standard failed decides.
 */
export const suggestionByEye = (failed: readonly Graded[]): 'second' | 'sell' =>
  failed[0]?.standard.rule === 'pedigree' ? 'second' : 'sell';
