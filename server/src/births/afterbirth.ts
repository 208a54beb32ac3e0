import { afterbirthNow, type AfterbirthNow, type AnimalFacts, type Moment } from '@yaylak/core';
import type { HoldingState } from '../book/holdingState';

/** What is known of the afterbirth of her last birth. */
export function afterbirthOf(state: HoldingState, facts: AnimalFacts, now: Moment): AfterbirthNow | undefined {
  const last = state.litters.birthsOf(facts.record.id).at(-1);
  if (!last) return undefined;
  const at = facts.births.find((b) => b.entryId === last.written?.entryId)?.at;
  const hours = state.settings(facts.record.species).rearing.afterbirthHours;
  return afterbirthNow({ written: last.written, at }, facts.afterbirths, { hours, now });
}
