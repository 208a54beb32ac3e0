import { siresOfBirth, type SireChance } from '../births';
import type { AnimalFacts } from '../book';
import type { Day } from '../calendar';
import { carriedSpell } from '../pregnancy';
import { openServices, type CarryingContext } from './openServices';

/**
 * Who sired a birth, or would sire one on a day: her services before it by how likely she carried from each, by the age
 * a scan told, and by the length gestation would have had.
 * @param since the birth before it
 * @returns the likeliest first; none where no service lies within the usual range and four days of it
 */
export function siresOfBirthOf(
  facts: AnimalFacts,
  context: CarryingContext,
  { bornOn, since }: { readonly bornOn: Day; readonly since: Day | undefined },
): readonly SireChance[] {
  const { spells, weights, scans } = openServices(facts, context, { since, until: bornOn });
  const found = carriedSpell(spells, scans, weights);
  // An age that fits no service says nothing of which of them it was.
  const shares = found?.fit?.kind === 'none-fits' ? weights : (found?.conceptions.map((c) => c.share) ?? []);
  const candidates = spells.map(({ on, lastOn, maleIds }, i) => ({
    from: on,
    to: lastOn,
    maleIds,
    weight: shares[i] ?? 0,
  }));
  return siresOfBirth(bornOn, candidates, context.settings.gestationDays);
}
