import type { ConditionAims, ConditionStage, FemaleKind } from '../species';
import { HIGHEST_SCORE } from './scale';

/** The score wanted of a female of this kind at this stage; never over the end of the scale. */
export const aimFor = (
  aims: Pick<ConditionAims, 'aims' | 'more'>,
  stage: ConditionStage,
  kind: FemaleKind = 'usual',
): number => Math.min(HIGHEST_SCORE, aims.aims[stage] + (kind === 'usual' ? 0 : aims.more[kind]));

export interface FemaleRecord {
  /** Litters she has had. */
  readonly births: number;
  /** The most young of one litter she reared in the last one. */
  readonly lastReared: number;
  readonly isHeavyMilker: boolean;
}

/** From so many young reared together a female is kept fatter. */
const MANY_REARED = 3;

/** Which kind a female is: what asks most of her counts. Where many young are the rule (rabbits) no more is wanted of her. */
export function femaleKind(
  { births, lastReared, isHeavyMilker }: FemaleRecord,
  { more }: Pick<ConditionAims, 'more'>,
): FemaleKind {
  if (isHeavyMilker) return 'heavy-milker';
  if (lastReared >= MANY_REARED && more['many-reared'] > 0) return 'many-reared';
  return births === 0 ? 'first-timer' : 'usual';
}
