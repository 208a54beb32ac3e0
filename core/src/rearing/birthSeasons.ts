import type { Day } from '../calendar';

/** A season of births ends when so many days bring none. */
const SEASON_GAP_DAYS = 45;

export interface BirthSeason<One> {
  readonly from: Day;
  readonly to: Day;
  readonly births: readonly One[];
}

/**
 * Births put together into seasons.
 * @param births in order of their day
 */
export function birthSeasons<One extends { readonly birth: { readonly on: Day } }>(
  births: readonly One[],
): BirthSeason<One>[] {
  const seasons: { from: Day; to: Day; births: One[] }[] = [];
  for (const one of births) {
    const { on } = one.birth;
    const last = seasons.at(-1);
    if (last && on - last.to <= SEASON_GAP_DAYS) {
      last.to = on;
      last.births.push(one);
    } else seasons.push({ from: on, to: on, births: [one] });
  }
  return seasons;
}
