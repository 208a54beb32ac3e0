import type { Day } from '../calendar';
import type { Species } from '../species';
import type { AnimalId } from '../units';

export interface Born {
  readonly id: AnimalId;
  readonly species: Species;
  readonly bornOn: Day;
  readonly damId: AnimalId | undefined;
}

export interface Litter {
  readonly damId: AnimalId;
  readonly bornOn: Day;
  readonly youngIds: readonly AnimalId[];
}

/** Births by one dam within this many days are one litter: twins over midnight, a kindling in two goes. */
export const SAME_LITTER_DAYS = 3;

/** Litters of each dam in order of birth, from the young on record. */
export function littersByDam(young: Iterable<Born>): Map<string, Litter[]> {
  const byDam = new Map<string, Born[]>();
  for (const one of young) {
    if (one.damId === undefined) continue;
    const list = byDam.get(one.damId);
    if (list) list.push(one);
    else byDam.set(one.damId, [one]);
  }
  const litters = new Map<string, Litter[]>();
  for (const [damId, list] of byDam) {
    list.sort((a, b) => a.bornOn - b.bornOn || (a.id < b.id ? -1 : 1));
    const own: { damId: AnimalId; bornOn: Day; youngIds: string[] }[] = [];
    for (const one of list) {
      const last = own.at(-1);
      if (last && one.bornOn - last.bornOn <= SAME_LITTER_DAYS) last.youngIds.push(one.id);
      else own.push({ damId, bornOn: one.bornOn, youngIds: [one.id] });
    }
    litters.set(damId, own);
  }
  return litters;
}
