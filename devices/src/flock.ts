import type { RosterView } from '@yaylak/contract';
import type { StandInAnimal } from './standIn';

export interface Flocks {
  readonly groups: readonly string[];
  of(group: string): StandInAnimal[];
}

/** Who can be sent through: everybody present by group, as heavy as when last weighed and a little more. */
export function flocksOf({ animals }: Pick<RosterView, 'animals'>): Flocks {
  const byGroup = new Map<string, StandInAnimal[]>();
  for (const a of animals) {
    const group = a.groupName ?? 'no group';
    const one = {
      number: a.tag.text,
      electronic: a.worn.find(([, , kind]) => kind === 'electronic')?.[0],
      kg: (a.weights.at(-1)?.[1] ?? 30) * 1.02,
    };
    byGroup.set(group, [...(byGroup.get(group) ?? []), one]);
  }
  return { groups: [...byGroup.keys()].sort(), of: (group) => byGroup.get(group) ?? [] };
}
