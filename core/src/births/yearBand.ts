import { addDays, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Born } from './litters';

/** A stretch of the year band. */
export interface BandBlock {
  readonly kind: 'births' | 'rearing';
  readonly from: Day;
  readonly to: Day;
  /** Young born in the batch. */
  readonly young: number;
  /** The batch: its first day of birth, the same for its births and its rearing. */
  readonly batchFrom: Day;
  readonly batchTo: Day;
}

/** A batch of births ends when this many days bring no birth. */
const BATCH_GAP_DAYS = 14;

/**
 * Blocks of a species' lane from its real births: batches of births without a gap of more than 14 days, and the
 * rearing that follows each to the latest best day for weaning of its last young.
 */
export function yearBandBlocks(born: readonly Born[], settings: Pick<SpeciesSettings, 'weaningDays'>): BandBlock[] {
  const days = born.map((b) => b.bornOn).sort((a, b) => a - b);
  const batches: { from: Day; to: Day; young: number }[] = [];
  for (const on of days) {
    const last = batches.at(-1);
    if (last && on - last.to <= BATCH_GAP_DAYS) {
      last.to = on;
      last.young++;
    } else batches.push({ from: on, to: on, young: 1 });
  }
  return batches.flatMap(({ from, to, young }) => {
    const batch = { young, batchFrom: from, batchTo: to };
    return [
      { kind: 'births', from, to, ...batch },
      { kind: 'rearing', from: addDays(to, 1), to: addDays(to, settings.weaningDays.bestTo), ...batch },
    ] as const;
  });
}
