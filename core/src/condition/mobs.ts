import type { ConditionAims } from '../species';

/** Groups that are fed apart by their condition. */
export const MOBS = ['thin', 'fit', 'fat'] as const;
export type Mob = (typeof MOBS)[number];

/** The feed mob a score belongs to, by how far it lies from the aim. */
export function mobFor(
  score: number,
  aim: number,
  { thinUnder, fatOver }: Pick<ConditionAims, 'thinUnder' | 'fatOver'>,
): Mob {
  if (score <= aim - thinUnder) return 'thin';
  return score >= aim + fatOver ? 'fat' : 'fit';
}

/** Head counts of the mobs. */
export function mobCounts(mobs: readonly Mob[]): Readonly<Record<Mob, number>> {
  const counts = { thin: 0, fit: 0, fat: 0 };
  for (const mob of mobs) counts[mob]++;
  return counts;
}
