import type { Day } from '../calendar';
import type { Sex } from '../species';
import type { AnimalFacts, AnimalRecord } from './facts';
import type { CareFact } from './kinds/care';

/** Since when an animal is a castrate, as far as that was recorded; undefined where it was not. */
export const castratedOn = ({ cares }: Pick<AnimalFacts, 'cares'>): Day | undefined =>
  cares.find((c) => c.kind === 'castrate')?.on;

/** A record with the sex its animal has today: what the record says, or a castrate once it was castrated. */
export function withSexToday(record: AnimalRecord, cares: readonly CareFact[]): AnimalRecord {
  const recorded = record.recordedSex ?? record.sex;
  const sex: Sex = recorded !== 'female' && castratedOn({ cares: [...cares] }) !== undefined ? 'castrate' : recorded;
  if (sex === record.sex) return record;
  const { recordedSex: _, ...rest } = record;
  return sex === recorded ? { ...rest, sex } : { ...rest, sex, recordedSex: recorded };
}
