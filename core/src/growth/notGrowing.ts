import type { Day } from '../calendar';
import { median } from '../statistics';
import { SMALL_GROUP, type Contemporary, type ContemporaryGroup } from './contemporaryGroup';
import { judgeGain, type Gain, type KnownGain } from './gain';
import type { AnimalId, KilogramsPerDay } from '../units';

export interface WithGain extends Contemporary {
  readonly gain: Gain;
}

export interface NotGrowing {
  readonly animalId: AnimalId;
  readonly gain: KnownGain;
  readonly groupMedianKgPerDay: KilogramsPerDay;
  readonly groupSize: number;
  readonly isSmallGroup: boolean;
  /** The line the gain is surely under: half the group's median, or zero in a group that loses weight. */
  readonly lineKgPerDay: KilogramsPerDay;
}

/** Half the group's median gain, never under zero. */
export const notGrowingLine = (groupMedianKgPerDay: KilogramsPerDay): number => Math.max(0, groupMedianKgPerDay / 2);

/**
 * Those whose gain is under half of their contemporaries' median, or below zero, and whose 80 % interval leaves no
 * room for chance. Worst share of the median first.
 * @param since gains that end before this day are old news and left out
 */
export function notGrowing(groups: Iterable<ContemporaryGroup<WithGain>>, since: Day): NotGrowing[] {
  const list: NotGrowing[] = [];
  for (const group of groups) {
    const gains = group.members.flatMap((m) =>
      m.gain.kind === 'gain' && m.gain.to >= since ? [{ m, gain: m.gain }] : [],
    );
    const middle = median(gains.map((g) => g.gain.kgPerDay));
    if (middle === undefined || gains.length < 2) continue;
    const lineKgPerDay = notGrowingLine(middle);
    for (const { m, gain } of gains) {
      if (judgeGain(gain, lineKgPerDay) !== 'below') continue;
      list.push({
        animalId: m.id,
        gain,
        groupMedianKgPerDay: middle,
        groupSize: gains.length,
        isSmallGroup: gains.length < SMALL_GROUP,
        lineKgPerDay,
      });
    }
  }
  const share = (n: NotGrowing): number => n.gain.kgPerDay / Math.max(1e-9, Math.abs(n.groupMedianKgPerDay));
  return list.sort((a, b) => share(a) - share(b));
}
