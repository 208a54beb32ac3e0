import { addDays, type Day } from '../calendar';
import { proportion, Z_80, type Proportion } from '../statistics';
import { gradesOf, type GradesCounted, type Look } from './byEye';
import { JUDGED_FROM_DAYS } from './crops';
import type { Standard } from './standards';

/** One that may have been judged while it was young. */
export interface YoungJudged {
  readonly id: string;
  readonly bornOn: Day;
  readonly bornIn: number;
  readonly damId: string | undefined;
  readonly standards: readonly Standard[];
  readonly looks: readonly Look[];
}

/** How many failed of those born in a year that were looked at for a standard. */
export interface FailedInYear extends Proportion {
  readonly year: number;
  readonly failed: number;
}

/** Young of dams that failed, beside those of dams that passed. */
export type OfFailedDams =
  | { readonly kind: 'too-few'; readonly ofFailed: number; readonly ofPassed: number; readonly needed: number }
  | {
      readonly kind: 'compared';
      readonly ofFailed: FailedOf;
      readonly ofPassed: FailedOf;
      /** How many times as often the young of failed dams fail, with its 80 % interval; none where nobody fails in one. */
      readonly ratio: { readonly value: number; readonly low: number; readonly high: number } | undefined;
    };

interface FailedOf {
  readonly failed: number;
  readonly of: number;
}

/** Under two years of age what is seen is the young, and not what a life has made of it. */
const JUDGED_UNTIL_DAYS = 730;
/** Fewer young of either kind of dam say nothing. */
export const DAMS_COMPARED_FROM = 10;

/** Grades of a young that count here: from 42 days to under 730 days of age. */
const countedAsYoung = (bornOn: Day): GradesCounted => ({
  from: addDays(bornOn, JUDGED_FROM_DAYS),
  to: addDays(bornOn, JUDGED_UNTIL_DAYS - 1),
});

/**
 * Whether it failed a standard when it was young; undefined where it was not looked at for it.
 * @param standardId undefined asks for any
 */
function hasFailed(young: YoungJudged, standardId: string | undefined): boolean | undefined {
  const standards = standardId === undefined ? young.standards : young.standards.filter((s) => s.id === standardId);
  const graded = gradesOf(standards, young.looks, countedAsYoung(young.bornOn));
  return graded.length === 0 ? undefined : graded.some((g) => g.isFailed);
}

/**
 * The share failing a standard by year of birth, oldest first, with Wilson's 80 % interval.
 * @param standardId undefined for any of them
 */
export function failingByYear(young: readonly YoungJudged[], standardId?: string): FailedInYear[] {
  const years = new Map<number, { failed: number; of: number }>();
  for (const one of young) {
    const failed = hasFailed(one, standardId);
    if (failed === undefined) continue;
    const year = years.get(one.bornIn) ?? { failed: 0, of: 0 };
    years.set(one.bornIn, { failed: year.failed + (failed ? 1 : 0), of: year.of + 1 });
  }
  return [...years]
    .sort(([a], [b]) => a - b)
    .flatMap(([year, { failed, of }]) => {
      const share = proportion(failed, of);
      return share ? [{ year, failed, ...share }] : [];
    });
}

/**
 * Risk of failing of young whose dams failed against those whose dams passed, as a ratio with the 80 % interval of its
 * logarithm (Katz 1978, Biometrics 34: 469-474). Young of one dam are not independent of each other.
 */
export function ofFailedDams(young: readonly YoungJudged[], standardId?: string): OfFailedDams {
  const byId = new Map(young.map((one) => [one.id, one]));
  const kinds = { failed: { failed: 0, of: 0 }, passed: { failed: 0, of: 0 } };
  for (const one of young) {
    const dam = byId.get(one.damId ?? '');
    const damFailed = dam && hasFailed(dam, standardId);
    const failed = hasFailed(one, standardId);
    if (damFailed === undefined || failed === undefined) continue;
    const kind = kinds[damFailed ? 'failed' : 'passed'];
    kind.of++;
    if (failed) kind.failed++;
  }
  const { failed: ofFailed, passed: ofPassed } = kinds;
  if (ofFailed.of < DAMS_COMPARED_FROM || ofPassed.of < DAMS_COMPARED_FROM)
    return { kind: 'too-few', ofFailed: ofFailed.of, ofPassed: ofPassed.of, needed: DAMS_COMPARED_FROM };
  return { kind: 'compared', ofFailed, ofPassed, ratio: riskRatio(ofFailed, ofPassed) };
}

function riskRatio(a: FailedOf, b: FailedOf): { value: number; low: number; high: number } | undefined {
  if (a.failed === 0 || b.failed === 0) return undefined;
  const value = a.failed / a.of / (b.failed / b.of);
  const standardError = Math.sqrt(1 / a.failed - 1 / a.of + 1 / b.failed - 1 / b.of);
  const half = Math.exp(Z_80 * standardError);
  return { value, low: value / half, high: value * half };
}
