import { birthQuestions, SAME_LITTER_DAYS, type BirthAsked, type BirthQuestion, type BirthWritten } from '../../births';
import { isoOf, momentOf, type Day, type Moment } from '../../calendar';
import type { Species } from '../../species';
import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind, ToCheck } from './kind';
import { checkGivesBirth } from './ofFemales';
import { onItsDay } from './onItsDay';

export interface BirthEntryWritten {
  readonly at?: string | undefined;
  readonly alive: number;
  readonly dead: number;
  readonly deadYoung?: readonly object[] | undefined;
  readonly ease: BirthWritten['ease'];
  readonly presentation?: BirthWritten['presentation'];
  readonly mothering?: BirthWritten['mothering'];
  readonly afterbirth?: BirthWritten['afterbirth'];
  readonly species?: Species | undefined;
  readonly reason?: string | undefined;
}

/** She gave birth. */
export interface BirthFact extends Fact, BirthWritten {
  readonly at: Moment | undefined;
  /** Why it was believed, where something spoke against it. */
  readonly reason: string | undefined;
}

export const birth: FactKind<'births', BirthEntryWritten, BirthFact> = {
  list: 'births',
  fact: ({ at, alive, dead, ease, presentation, mothering, afterbirth, reason }, base) => ({
    at: at === undefined ? undefined : momentOf(at),
    alive,
    dead,
    ease,
    presentation,
    mothering,
    afterbirth,
    reason,
    ...base,
  }),
  check: (entry, facts, book) => checkGivesBirth(facts) ?? checkGivenBirth(entry, facts, book),
};

function checkGivenBirth(entry: ToCheck<BirthEntryWritten>, facts: AnimalFacts, book: BookView): Refusal | undefined {
  const { day: on, alive, dead, deadYoung = [], species, reason } = entry;
  if (alive + dead === 0) return { code: 'nobody-born', field: 'alive', value: '0' };
  if (deadYoung.length > dead)
    return { code: 'more-dead-than-told', field: 'deadYoung', value: String(deadYoung.length) };
  const otherDay = onItsDay(entry);
  if (otherDay) return otherDay;
  const births = book.birthsOf(facts.record.id);
  const same = births.find((b) => b.written && Math.abs(b.on - on) <= SAME_LITTER_DAYS);
  if (same) return { code: 'birth-known', field: 'on', value: isoOf(on), on: isoOf(same.on) };
  if (reason !== undefined) return undefined;
  const questions = questionsOf({ on, alive, dead, species }, facts, book);
  return questions.length === 0 ? undefined : { code: 'birth-questioned', field: 'reason', value: '', questions };
}

/** What speaks against a birth of a female, by all the book knows of her. */
export function questionsOf(
  asked: BirthAsked,
  facts: AnimalFacts,
  book: Pick<BookView, 'birthsOf' | 'settings' | 'wasNearMale'>,
): BirthQuestion[] {
  const { id, species, bornOn } = facts.record;
  const dam = {
    species,
    bornOn,
    wasNearMale: (stretch: { readonly from: Day; readonly to: Day }) => book.wasNearMale(id, stretch),
    births: book.birthsOf(id),
    serviceDays: facts.services.map((s) => s.on),
    tests: facts.pregnancyTests,
  };
  return birthQuestions(asked, dam, book.settings(species));
}
