import { isoOf, type Day } from '../calendar';
import type { Sex } from '../species';
import type { BookView } from './bookView';
import { castratedOn } from './castration';
import { factLists } from './factLists';
import type { AnimalFacts, AnimalRecord } from './facts';
import { checkRecord } from './kinds/arrival';
import type { Refusal } from './refusals';

/** What a change of a record asks of the book beside what an entry does. */
export interface ChangeBook extends BookView {
  /** Those a record names as its sire or dam. */
  youngOf(id: string): readonly AnimalRecord[];
}

/** What an animal is on record with that another sex cannot be. */
export interface SexEvidence {
  readonly births: number;
  readonly services: number;
  readonly young: number;
  /** Stays with a group, and checks of him as a male. */
  readonly asMale: number;
}

export type ChangeRefusal = { readonly field: string; readonly value: string } & (
  | { readonly code: 'entry-before-birth'; readonly on: string }
  | { readonly code: 'young-not-younger'; readonly youngId: string; readonly on: string }
  | { readonly code: 'sex-contradicted'; readonly evidence: SexEvidence }
);

/**
 * Whether an animal's record may be changed: by the rules of any record, and by all that hangs on the one it had. A
 * birth date lies before every entry of it and before the births of its young; one that gave birth or was served stays
 * a female, one that sired or ran with females no female.
 */
export function checkChange(
  facts: AnimalFacts,
  record: AnimalRecord,
  book: ChangeBook,
): Refusal | ChangeRefusal | undefined {
  const refusal = checkRecord(record, book);
  if (refusal) return refusal;
  return checkBirthDate(facts, record, book) ?? checkSex(facts, record.sex, book);
}

function checkBirthDate(facts: AnimalFacts, { id, bornOn }: AnimalRecord, book: ChangeBook): ChangeRefusal | undefined {
  if (bornOn === undefined || bornOn === facts.record.bornOn) return undefined;
  const own = { field: 'bornOn', value: isoOf(bornOn) };
  const days = factLists(facts).flatMap((list) => list.map((f) => f.on));
  const first = days.reduce<Day | undefined>(
    (least, on) => (least === undefined || on < least ? on : least),
    undefined,
  );
  if (first !== undefined && bornOn > first) return { code: 'entry-before-birth', ...own, on: isoOf(first) };
  const young = book.youngOf(id).find((y) => y.bornOn !== undefined && y.bornOn <= bornOn);
  return young?.bornOn === undefined
    ? undefined
    : { code: 'young-not-younger', ...own, youngId: young.id, on: isoOf(young.bornOn) };
}

function checkSex(facts: AnimalFacts, sex: Sex, book: ChangeBook): Refusal | ChangeRefusal | undefined {
  const { id, sex: before } = facts.record;
  if (sex === before || sex === 'unknown') return undefined;
  const cutOn = castratedOn(facts);
  if (cutOn !== undefined && sex !== 'castrate')
    return { code: 'castrated', field: 'sex', value: sex, on: isoOf(cutOn) };
  const young = book.youngOf(id);
  const isFemale = sex === 'female';
  // A male that was cut sired what he sired.
  if (before === 'male' && sex === 'castrate') return undefined;
  const evidence: SexEvidence = {
    births: isFemale ? 0 : facts.births.length,
    services: isFemale ? 0 : facts.services.length,
    young: young.filter((y) => (isFemale ? y.sireId === id : y.damId === id || y.donorId === id)).length,
    asMale: isFemale ? facts.stays.length + facts.maleChecks.length : 0,
  };
  return Object.values(evidence).some((count) => count > 0)
    ? { code: 'sex-contradicted', field: 'sex', value: sex, evidence }
    : undefined;
}
