import type { EvidenceWay, ScanFinding, TestResult } from '../../pregnancy';
import { OVERDUE_DAYS } from '../../species';
import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import { testTooSoon } from '../testTooSoon';
import type { FactKind, ToCheck } from './kind';
import { checkCarries } from './ofFemales';
import type { Days } from '../../units';

export interface PregnancyTestWritten {
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young?: number | undefined;
  readonly ageDays?: Days | undefined;
  readonly findings?: readonly ScanFinding[] | undefined;
  readonly testedBy?: string | undefined;
  readonly learner?: string | undefined;
  readonly learnerAgeDays?: Days | undefined;
  readonly sampleId?: string | undefined;
  readonly reason?: string | undefined;
}

/** Tested for young, by a machine, a tube or a hand. */
export interface PregnancyTestFact extends Fact {
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young: number | undefined;
  readonly ageDays: Days | undefined;
  readonly findings: readonly ScanFinding[];
  readonly testedBy: string | undefined;
  readonly learner: { readonly name: string; readonly ageDays: Days } | undefined;
  /** The tube it was read from. */
  readonly sampleId: string | undefined;
}

export const pregnancyTest: FactKind<'pregnancyTests', PregnancyTestWritten, PregnancyTestFact> = {
  list: 'pregnancyTests',
  fact: ({ way, result, young, ageDays, findings = [], testedBy, learner, learnerAgeDays, sampleId }, base) => ({
    way,
    result,
    young,
    ageDays,
    findings,
    testedBy,
    learner:
      learner === undefined || learnerAgeDays === undefined ? undefined : { name: learner, ageDays: learnerAgeDays },
    sampleId,
    ...base,
  }),
  check: (entry, facts, book) => checkCarries(facts) ?? checkTest(entry, facts, book),
};

function checkTest(entry: ToCheck<PregnancyTestWritten>, facts: AnimalFacts, book: BookView): Refusal | undefined {
  const { species } = facts.record;
  const { way, result, young, ageDays, sampleId, reason } = entry;
  const { tests, gestationDays } = book.settings(species);
  if (way !== 'sight' && !tests[way]) return { code: 'no-such-test', field: 'way', value: way, species };
  if (result === 'empty' && (young !== undefined || ageDays !== undefined))
    return {
      code: 'young-of-empty',
      field: young === undefined ? 'ageDays' : 'young',
      value: String(young ?? ageDays),
    };
  const mostDays = gestationDays.to + OVERDUE_DAYS;
  if (ageDays !== undefined && ageDays > mostDays)
    return { code: 'age-too-high', field: 'ageDays', value: String(ageDays), mostDays };
  if (sampleId !== undefined) {
    const value = sampleId;
    if (!facts.samples.some((s) => s.entryId === sampleId)) return { code: 'unknown-sample', field: 'sampleId', value };
    if (facts.pregnancyTests.some((t) => t.sampleId === sampleId))
      return { code: 'tube-answered', field: 'sampleId', value };
    // What was said of the day it was taken holds for its result.
    return undefined;
  }
  return reason === undefined ? testTooSoon(entry, way, species, book) : undefined;
}
