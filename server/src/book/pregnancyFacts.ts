import type { CarryingStepEntry, LossEntry, PregnancyTestEntry, WayOnEntry } from '@yaylak/contract';
import type { AnimalFacts, Day, Fact, PregnancyEntryToCheck } from '@yaylak/core';
import { into, type FactInto } from './factInto';

export type PregnancyEntry = PregnancyTestEntry | LossEntry | WayOnEntry | CarryingStepEntry;

/** An entry of carrying as its fact, with the list of the animal's facts it goes into. */
export function pregnancyFact(entry: PregnancyEntry, facts: AnimalFacts, base: Fact): FactInto {
  switch (entry.type) {
    case 'pregnancy-test': {
      const { way, result, young, ageDays, findings = [], testedBy, learner, learnerAgeDays, sampleId } = entry;
      return into(facts.pregnancyTests, {
        ...base,
        way,
        result,
        young,
        ageDays,
        findings,
        testedBy,
        learner:
          learner === undefined || learnerAgeDays === undefined
            ? undefined
            : { name: learner, ageDays: learnerAgeDays },
        sampleId,
      });
    }
    case 'loss':
      return into(facts.losses, { ...base, how: entry.how });
    case 'way-on':
      return into(facts.waysOn, { ...base, decision: entry.decision, reason: entry.reason });
    case 'carrying-step':
      return into(facts.carryingSteps, { ...base, step: entry.step });
  }
}

/** An entry of carrying as the rules of the book see it. */
export function pregnancyToCheck(
  entry: PregnancyEntry,
  base: { readonly animalId: string; readonly on: Day },
): PregnancyEntryToCheck {
  if (entry.type !== 'pregnancy-test') return { type: entry.type, ...base };
  const { way, result, young, ageDays, sampleId, reason } = entry;
  return { type: 'pregnancy-test', ...base, way, result, young, ageDays, sampleId, reason };
}
