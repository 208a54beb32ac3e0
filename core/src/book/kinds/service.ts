import { isoOf, momentOf } from '../../calendar';
import type { Service, ServiceWay } from '../../mating';
import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind, ToCheck } from './kind';
import { onItsDay } from './onItsDay';
import type { AnimalId } from '../../units';

export interface ServiceWritten {
  readonly way: ServiceWay;
  readonly at?: string | undefined;
  readonly maleIds: readonly AnimalId[];
  readonly straw?: string | undefined;
  readonly otherMale?: string | undefined;
  readonly colour?: string | undefined;
  readonly isCheck?: boolean | undefined;
  readonly reason?: string | undefined;
}

/** Served; without a male of the holding, by straw or by one from elsewhere. */
export interface ServiceFact extends Fact, Service {
  readonly straw: string | undefined;
  /** A male that is not in the book, in words: "the neighbour's ram". */
  readonly otherMale: string | undefined;
  /** Colour of the mark read, where a male with a harness ran. */
  readonly colour: string | undefined;
  /** Offered again to see whether she refuses, as rabbits are. */
  readonly isCheck: boolean;
}

export const service: FactKind<'services', ServiceWritten, ServiceFact> = {
  list: 'services',
  fact: ({ at, way, maleIds, straw, otherMale, colour, isCheck = false }, base) => ({
    at: at === undefined ? undefined : momentOf(at),
    way,
    maleIds,
    straw,
    otherMale,
    colour,
    isCheck,
    ...base,
  }),
  check: (entry, { record }, book) =>
    record.sex === 'female'
      ? (onItsDay(entry) ?? checkPair(entry, record, book))
      : { code: 'not-a-female', field: 'animalId', value: entry.animalId },
};

/** Ways by which a person puts two together; a mark found in the field is written down whoever made it. */
const BY_CHOICE: readonly ServiceWay[] = ['hand', 'insemination'];

function checkPair(
  { maleIds, straw, otherMale, way, reason, day: on }: ToCheck<ServiceWritten>,
  record: AnimalFacts['record'],
  book: BookView,
): Refusal | undefined {
  if (maleIds.length === 0 && straw === undefined && otherMale === undefined)
    return { code: 'no-sire', field: 'maleIds', value: '' };
  for (const value of maleIds) {
    const male = book.animal(value);
    const field = 'maleIds';
    if (!male) return { code: 'unknown-male', field, value };
    if (male.record.sex !== 'male' && male.record.sex !== 'castrate') return { code: 'not-a-male', field, value };
    if (male.record.species !== record.species) return { code: 'male-of-other-species', field, value };
    // A straw outlives its bull.
    const gone = way === 'insemination' ? undefined : male.departures.find((d) => d.on < on);
    if (gone) return { code: 'male-gone', field, value, goneOn: isoOf(gone.on) };
    if (reason !== undefined || !BY_CHOICE.includes(way)) continue;
    const { refusal, inbreeding } = book.pair(record.id, value);
    if (refusal) return { code: 'pair', field, value, refusal, inbreeding, species: record.species };
    const reasons = way === 'hand' ? book.maleHeldBack(value, on) : [];
    if (reasons.length > 0) return { code: 'male-held-back', field: 'reason', value, reasons };
  }
  if (reason !== undefined || !BY_CHOICE.includes(way)) return undefined;
  const reasons = book.heldBack(record.id, on);
  return reasons.length > 0 ? { code: 'held-back', field: 'reason', value: record.id, reasons } : undefined;
}
