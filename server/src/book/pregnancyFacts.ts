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
        ...base,
      });
    }
    case 'loss':
      return into(facts.losses, { how: entry.how, ...base });
    case 'way-on':
      return into(facts.waysOn, { decision: entry.decision, reason: entry.reason, ...base });
    case 'carrying-step':
      return into(facts.carryingSteps, { step: entry.step, ...base });
  }
}

/** An entry of carrying as the rules of the book see it. */
export function pregnancyToCheck(
  entry: PregnancyEntry,
  base: { readonly animalId: string; readonly on: Day },
): PregnancyEntryToCheck {
  if (entry.type !== 'pregnancy-test') return { type: entry.type, ...base };
  const { way, result, young, ageDays, sampleId, reason } = entry;
  return { type: 'pregnancy-test', way, result, young, ageDays, sampleId, reason, ...base };
}
