import { addDays, type Day } from '../calendar';
import type { Birth } from '../births';
import { rearedBy, type Reared } from './rearedBy';
import type { AnimalId } from '../units';

/** What became of the young of one birth, and of those its dam took on; each counted at the dam that had it then. */
export interface RearingTally {
  readonly bornAlive: number;
  readonly bornDead: number;
  /** Of her own, put under another dam or reared by hand. */
  readonly fosteredAway: number;
  /** Another's, put under her. */
  readonly fosteredTo: number;
  /** Died while she reared them, her own or not. */
  readonly lost: number;
  /** Reached weaning under her. */
  readonly reared: number;
  /** With her now. */
  readonly withHer: number;
  /** Their ages, in days. */
  readonly agesWithHer: readonly number[];
  /** Reared of those she had to rear; undefined while some are with her still, or with none. */
  readonly survival: number | undefined;
}

/**
 * One litter of a rearing dam. A young that dies counts at the dam that reared it on its last day; one that left alive
 * before weaning, sold or moved away from her, is neither lost nor reared.
 * @param herd      all young that may have been under her
 * @param weaningAge age from which a young that was never written down as weaned counts as reared
 * @param died      whether a young that is gone died
 */
export function rearingTally(
  damId: AnimalId,
  birth: Pick<Birth, 'on' | 'alive' | 'dead'>,
  herd: readonly Reared[],
  { weaningAge, asOf, died }: { weaningAge: number; asOf: Day; died: (id: string) => boolean },
): RearingTally {
  const near = herd.filter((y) => Math.abs(y.bornOn - birth.on) <= weaningAge / 2);
  const own = near.filter((y) => y.birthDamId === damId && Math.abs(y.bornOn - birth.on) <= 3);
  const taken = near.filter((y) => !own.includes(y) && y.fosterings.some((f) => f.damId === damId && f.on <= asOf));
  const young = [...own, ...taken];
  const fates = young.map((y) => fateUnder(y, damId, weaningAge, asOf, died));
  const count = (fate: Fate): number => fates.filter((f) => f === fate).length;
  const [lost, reared, withHer] = [count('lost'), count('reared'), count('with-her')];
  return {
    bornAlive: birth.alive,
    bornDead: birth.dead,
    fosteredAway: own.filter((y) => fateUnder(y, damId, weaningAge, asOf, died) === 'elsewhere').length,
    fosteredTo: taken.length,
    lost,
    reared,
    withHer,
    agesWithHer: young.flatMap((y, i) => (fates[i] === 'with-her' ? [asOf - y.bornOn] : [])),
    survival: withHer > 0 || lost + reared === 0 ? undefined : reared / (lost + reared),
  };
}

type Fate = 'lost' | 'reared' | 'with-her' | 'elsewhere';

function fateUnder(y: Reared, damId: AnimalId, weaningAge: number, asOf: Day, died: (id: string) => boolean): Fate {
  const oldEnough = addDays(y.bornOn, weaningAge);
  const until = Math.min(y.weanedOn ?? oldEnough, y.goneOn ?? Infinity, addDays(asOf, 1)) as Day;
  const lastDay = Math.max(y.bornOn, until - 1) as Day;
  // Asked as if it were neither weaned nor gone: who had it on its last day as a young.
  if (rearedBy({ ...y, weanedOn: undefined, goneOn: undefined }, lastDay) !== damId) return 'elsewhere';
  const end = y.weanedOn ?? oldEnough;
  if (y.goneOn !== undefined && y.goneOn <= asOf && y.goneOn < end) return died(y.id) ? 'lost' : 'elsewhere';
  return end <= asOf ? 'reared' : 'with-her';
}
