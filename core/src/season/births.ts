import { addDays, type Day } from '../calendar';
import { birthsExpected, gestationSpread, spreadHalf, type BirthsExpected, type GestationDays } from '../births';
import type { Days } from '../units';

export interface BirthsAsked {
  readonly females: number;
  readonly matingFrom: Day;
  /** The last day of mating. */
  readonly matingTo: Day;
  /** 0 where mating itself brings the heat on: all take from the first day. */
  readonly cycleDays: Days;
  readonly conceptionShare: number;
  readonly gestationDays: GestationDays;
}

/**
 * Births to be expected each day: heats fall evenly over the first cycle and come again a cycle later for who did not
 * take, each takes with the same chance, and gestation spreads as `gestationSpread` says.
 */
export function expectedBirths(asked: BirthsAsked): BirthsExpected {
  const { females, matingFrom, matingTo, cycleDays, conceptionShare, gestationDays } = asked;
  const matingDays = Math.max(1, matingTo - matingFrom + 1);
  const heatDays = cycleDays > 0 ? cycleDays : matingDays;
  const spread = gestationSpread(gestationDays);
  const perDay = new Array<number>(matingDays + spread.length - 1).fill(0);
  for (let d = 0; d < matingDays; d++) {
    const cycle = cycleDays > 0 ? Math.floor(d / cycleDays) : 0;
    const conceptions = (females / heatDays) * conceptionShare * (1 - conceptionShare) ** cycle;
    spread.forEach((share, g) => {
      perDay[d + g] = (perDay[d + g] ?? 0) + conceptions * share;
    });
  }
  return birthsExpected(addDays(matingFrom, gestationDays.mean - spreadHalf(gestationDays)), perDay);
}
