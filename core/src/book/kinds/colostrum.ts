import type { ColostrumWay } from '../../births';
import { isoOf, momentOf, type Moment } from '../../calendar';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { onItsDay } from './onItsDay';

export interface ColostrumWritten {
  readonly at: string;
  readonly how: ColostrumWay;
}

/** Had its first milk. */
export interface ColostrumFact extends Fact {
  readonly at: Moment;
  readonly how: ColostrumWay;
}

/** Written down of young up to so many days old. */
const COLOSTRUM_DAYS = 3;

export const colostrum: FactKind<'colostrums', ColostrumWritten, ColostrumFact> = {
  list: 'colostrums',
  fact: ({ at, how }, base) => ({ at: momentOf(at), how, ...base }),
  check(entry, { record }) {
    const otherDay = onItsDay(entry);
    if (otherDay) return otherDay;
    if (record.bornOn === undefined) return { code: 'no-age', field: 'animalId', value: record.id };
    const ageDays = entry.day - record.bornOn;
    return ageDays > COLOSTRUM_DAYS
      ? { code: 'too-old-for-colostrum', field: 'on', value: isoOf(entry.day), ageDays }
      : undefined;
  },
};
