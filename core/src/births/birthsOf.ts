import type { Day } from '../calendar';
import type { Afterbirth, Ease, Mothering, Presentation } from './kinds';
import { SAME_LITTER_DAYS, type Litter } from './litters';
import type { AnimalId } from '../units';

/** A birth as it was written down at the dam. */
export interface BirthWritten {
  readonly entryId: string;
  readonly on: Day;
  readonly alive: number;
  readonly dead: number;
  readonly ease: Ease;
  readonly presentation: Presentation | undefined;
  readonly mothering: Mothering | undefined;
  readonly afterbirth: Afterbirth | undefined;
}

/** A birth as it is reckoned with: the young on record, what was written down of it, or both. */
export interface Birth {
  readonly on: Day;
  /** Born alive, on record. */
  readonly youngIds: readonly AnimalId[];
  readonly alive: number;
  /** Known only where the birth was written down. */
  readonly dead: number;
  readonly written: BirthWritten | undefined;
}

/**
 * A female's births in order. What was written down and the young of three days about it are one; a birth of dead
 * young alone stands by what was written down, one nobody wrote down by its young. Born alive are the young on record
 * where there are more of them than were written down: they were counted later.
 */
export function birthsOf(litters: readonly Litter[], written: readonly BirthWritten[]): Birth[] {
  const left = [...litters];
  const told = written.map((w): Birth => {
    const at = left.findIndex((l) => Math.abs(l.bornOn - w.on) <= SAME_LITTER_DAYS);
    const [own] = at < 0 ? [] : left.splice(at, 1);
    const youngIds = own?.youngIds ?? [];
    return { on: w.on, youngIds, alive: Math.max(w.alive, youngIds.length), dead: w.dead, written: w };
  });
  const untold = left.map(({ bornOn, youngIds }): Birth => {
    return { on: bornOn, youngIds, alive: youngIds.length, dead: 0, written: undefined };
  });
  return [...told, ...untold].sort((a, b) => a.on - b.on);
}
