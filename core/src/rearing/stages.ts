import { addDays, type Day, type Window } from '../calendar';
import type { PenStage } from '../births';
import type { SpeciesSettings } from '../species';

/** So long after her young should be in the group, she is taken to be there though nobody wrote it down. */
const FORGOTTEN_DAYS = 14;

export interface StageNow {
  readonly stage: PenStage;
  /** When she goes on, and where to; undefined in the group. */
  readonly next: { readonly stage: PenStage; readonly window: Window } | undefined;
}

/**
 * Where a dam is with her young of a birth: in the pen of the birth until it is written down that she went on. She goes
 * on after a day or as long as the holding says, a day longer for each young over one, and to the group at the age set.
 * Where nothing was written down of a birth for long, she is taken to be in the group.
 * @param moved    stages written down since the birth, in order
 * @returns undefined where the species has no such pens
 */
export function penStage(
  birth: { readonly on: Day; readonly young: number },
  moved: readonly { readonly on: Day; readonly stage: PenStage }[],
  { bondingDays, mixingDays }: Pick<SpeciesSettings['rearing'], 'bondingDays' | 'mixingDays'>,
  asOf: Day,
): StageNow | undefined {
  if (bondingDays === 0 && mixingDays === 0) return undefined;
  const told = moved.at(-1)?.stage;
  const isLongAgo = told === undefined && asOf - birth.on > Math.max(mixingDays, bondingDays) + FORGOTTEN_DAYS;
  const stage = told ?? (isLongAgo ? 'group' : 'bonding');
  const bonded = bondingDays + Math.max(0, birth.young - 1);
  const around = (day: number, slack: number): Window => ({
    opens: addDays(birth.on, day),
    bestFrom: addDays(birth.on, day),
    bestTo: addDays(birth.on, day + slack),
    closes: addDays(birth.on, day + 2 * slack + 1),
  });
  if (stage === 'group') return { stage, next: undefined };
  if (stage === 'bonding' && mixingDays > 0) return { stage, next: { stage: 'mixing', window: around(bonded, 1) } };
  return { stage, next: { stage: 'group', window: around(Math.max(mixingDays, bonded), 3) } };
}
