import { addDays, type Day } from '../calendar';
import { fitConception, type ConceptionCandidate } from '../pregnancy';
import { GESTATION_SLACK_DAYS } from '../species';
import { gestationSd, type GestationDays } from './expected';
import type { AnimalId } from '../units';

/** A male that may be the sire. */
export interface SireChance {
  readonly maleId: AnimalId;
  readonly probability: number;
}

/**
 * Who sired a birth, from her services before it: each service weighs as much as gestation's length makes the day
 * likely (normal about the mean), times its weight beforehand; males of one service share alike.
 * @param candidates services or stretches with males, any order
 * @returns the likeliest first; none where no service lies within the usual range and four days of it
 */
export function siresOfBirth(
  bornOn: Day,
  candidates: readonly ConceptionCandidate[],
  gestation: GestationDays,
): readonly SireChance[] {
  const { from, mean, to } = gestation;
  const fit = fitConception(candidates, {
    saidOn: addDays(bornOn, -mean),
    sd: gestationSd(gestation),
    within: Math.max(mean - from, to - mean) + GESTATION_SLACK_DAYS,
    lastOn: bornOn,
  });
  return fit.kind === 'fits' ? fit.sires : [];
}
