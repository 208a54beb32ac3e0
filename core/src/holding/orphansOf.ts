import { isPresent, type AnimalFacts } from '../book';
import type { Day } from '../calendar';
import { rearedBy, type Reared } from '../rearing';

/**
 * Young a dam left behind: she died or left, and they are here, not weaned, and under no other dam nor fed by hand.
 * @param young all that may ever have been with her
 * @param weaningAge older ones need no milk any more
 */
export const orphansOf = (
  dam: AnimalFacts,
  young: readonly Reared[],
  { today, weaningAge }: { readonly today: Day; readonly weaningAge: number },
): readonly Reared[] =>
  isPresent(dam, today)
    ? []
    : young.filter((y) => today - y.bornOn < weaningAge && rearedBy(y, today) === dam.record.id);
