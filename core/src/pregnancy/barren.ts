import type { Day } from '../calendar';
import type { Spell } from '../mating';
import type { SpeciesSettings } from '../species';

type Mated = Pick<Spell, 'on' | 'lastOn' | 'outcome' | 'isRipe'>;

/**
 * Seasons in which a female was mated and gave no birth, by the day of the last service: services that follow each other
 * within two and a half heat cycles are one season, and one that is not over yet is not counted. Where there is no cycle
 * each service is one. Oldest first.
 */
export function barrenSeasonsOn(
  spells: readonly Mated[],
  { heatCycleDays: c }: Pick<SpeciesSettings, 'heatCycleDays'>,
): Day[] {
  const seasons: Mated[][] = [];
  for (const spell of spells) {
    const last = seasons.at(-1);
    const before = last?.at(-1);
    if (last && before && spell.on - before.lastOn <= 2.5 * c.mean) last.push(spell);
    else seasons.push([spell]);
  }
  return seasons
    .filter((s) => s.every((one) => one.isRipe && one.outcome.kind !== 'born'))
    .map((s) => (s.at(-1) as Mated).lastOn);
}

/**
 * Those a rule counts: all of them, or, where there is no heat cycle and so no season, the services in vain since her
 * last birth.
 */
export const barrenCounted = (
  spells: readonly Mated[],
  settings: Pick<SpeciesSettings, 'heatCycleDays'>,
  lastBirthOn: Day | undefined,
): Day[] => {
  const all = barrenSeasonsOn(spells, settings);
  return settings.heatCycleDays.mean > 0 ? all : all.filter((on) => on > (lastBirthOn ?? -Infinity));
};

/** How many there were. */
export const barrenSeasons = (spells: readonly Mated[], settings: Pick<SpeciesSettings, 'heatCycleDays'>): number =>
  barrenSeasonsOn(spells, settings).length;
