import { afterbirthNow, type AfterbirthNow, type Birth } from '../births';
import type { AnimalFacts } from '../book';
import type { Moment } from '../calendar';
import type { SpeciesSettings } from '../species';

/**
 * What is known of the afterbirth of a female's last birth.
 * @param births hers, in order
 * @returns undefined without a birth, or where nothing was written down of it
 */
export function afterbirthOf(
  facts: AnimalFacts,
  births: readonly Birth[],
  { rearing }: Pick<SpeciesSettings, 'rearing'>,
  now: Moment,
): AfterbirthNow | undefined {
  const last = births.at(-1);
  if (!last) return undefined;
  const at = facts.births.find((b) => b.entryId === last.written?.entryId)?.at;
  return afterbirthNow({ written: last.written, at }, facts.afterbirths, { hours: rearing.afterbirthHours, now });
}
