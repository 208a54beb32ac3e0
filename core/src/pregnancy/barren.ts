import type { Spell } from '../mating';
import type { SpeciesSettings } from '../species';

/**
 * Seasons in which a female was mated and gave no birth: services that follow each other within two and a half heat
 * cycles are one season, and one that is not over yet is not counted. Where there is no cycle each service is one.
 */
export function barrenSeasons(
  spells: readonly Pick<Spell, 'on' | 'lastOn' | 'outcome' | 'isRipe'>[],
  { heatCycleDays: c }: Pick<SpeciesSettings, 'heatCycleDays'>,
): number {
  const seasons: (typeof spells)[number][][] = [];
  for (const spell of spells) {
    const last = seasons.at(-1);
    const before = last?.at(-1);
    if (last && before && spell.on - before.lastOn <= 2.5 * c.mean) last.push(spell);
    else seasons.push([spell]);
  }
  return seasons.filter((s) => s.every((one) => one.isRipe && one.outcome.kind !== 'born')).length;
}
