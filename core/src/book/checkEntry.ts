import { addHours, isoMoment, isoOf, momentOf } from '../calendar';
import type { BookView } from './bookView';
import { kindOf } from './kindOf';
import type { KindName, Kinds } from './kinds';
import { checkArrival } from './kinds/arrival';
import type { Refusal } from './refusals';

/** A tablet's clock may go ahead of this computer's by so much. */
const CLOCKS_APART_HOURS = 0.25;

type Checked<Name extends KindName> = Kinds[Name] extends {
  readonly check?: (entry: infer E, ...rest: never) => unknown;
}
  ? { readonly type: Name } & E
  : never;
/** An entry as the rules see it: as it is written, and the day it says. */
export type CheckedEntry = { [Name in KindName]: Checked<Name> }[KindName];

/** Whether the job an entry was written in is in the book; a book that was put back may not have it. */
export function checkJob(
  { jobId }: { readonly jobId?: string | undefined },
  book: Pick<BookView, 'hasJob'>,
): Refusal | undefined {
  return jobId === undefined || book.hasJob(jobId) ? undefined : { code: 'unknown-job', field: 'jobId', value: jobId };
}

/** The first rule of the book an entry breaks: those of every entry, then those of its kind. */
export function checkEntry(entry: CheckedEntry, book: BookView): Refusal | undefined {
  const { animalId, day: on } = entry;
  if (on > book.today) return { code: 'in-future', field: 'on', value: isoOf(on) };
  const at = 'at' in entry && entry.at !== undefined ? momentOf(entry.at) : undefined;
  if (at !== undefined && at > addHours(book.now, CLOCKS_APART_HOURS))
    return { code: 'later-than-now', field: 'at', value: isoMoment(at) };
  if (entry.type === 'arrival') return checkArrival(entry, book);
  const facts = book.animal(animalId);
  if (!facts) return { code: 'unknown-animal', field: 'animalId', value: animalId };
  const { bornOn } = facts.record;
  if (bornOn !== undefined && on < bornOn)
    return { code: 'before-birth', field: 'on', value: isoOf(on), bornOn: isoOf(bornOn) };
  const kind = kindOf(entry.type);
  const gone = kind.isOfGone ? undefined : facts.departures.find((d) => d.on < on);
  if (gone) return { code: 'gone', field: 'on', value: isoOf(on), goneOn: isoOf(gone.on) };
  return kind.check?.(entry, facts, book);
}
