import type { ChoosingSet } from '@yaylak/contract';

export const keyOf = (s: ChoosingSet): string => [s.species, s.sex, s.from ?? 'grown'].join(' ');

/** The set an address names: a crop by any of its days, so that a new first birth does not lose it. */
export function isNamed(set: ChoosingSet, key: string | null): boolean {
  const [species, sex, from] = key?.split(' ') ?? [];
  if (set.species !== species || set.sex !== sex) return false;
  if (set.from === null || set.to === null) return from === 'grown';
  return from !== undefined && set.from <= from && from <= set.to;
}
