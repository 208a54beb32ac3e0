import type { DefaultValues, FieldValues, UseFormReturn } from 'react-hook-form';
import type { EntryDraft } from '../../outbox/useRecord';
import { newId } from '../../words/ids';
import { useTypedForm, type Made } from './useTypedForm';

interface Asked<Typed extends FieldValues> {
  /** The contract's class of what is typed: it is held against its rules. */
  readonly of: (typed: Typed) => new () => object;
  readonly start: DefaultValues<Typed>;
  /** The entry of what is typed; a figure that cannot be read is no number, and the class refuses it. */
  readonly read: (typed: Typed) => EntryDraft;
  /** What to say of each field the class refuses, by the entry's name for it. */
  readonly words: Readonly<Record<string, string>>;
  /** What else stands against it, by the form's field: what the class cannot know. */
  readonly also?: (typed: Typed) => Readonly<Partial<Record<keyof Typed & string, string>>>;
  /** The form's field, where the entry calls it otherwise. */
  readonly fieldOf?: Readonly<Record<string, keyof Typed & string>>;
}

export interface EntryFormState<Typed extends FieldValues> {
  readonly form: UseFormReturn<Typed>;
  readonly read: (typed: Typed) => EntryDraft;
}

/** Any stamp that fits: what every entry carries is filled in when it is sent. */
const STAMP = { id: newId(), writtenAt: new Date(0).toISOString(), writtenBy: '-', source: 'hand' } as const;

/** An entry as a form would send it, held against its class. */
export const madeEntry = (shape: new () => object, draft: object): Made => ({ shape, value: { ...STAMP, ...draft } });

/** A form of one entry; see `useTypedForm`. */
export function useEntryForm<Typed extends FieldValues>({
  of,
  read,
  also,
  ...asked
}: Asked<Typed>): EntryFormState<Typed> {
  const form = useTypedForm<Typed>({
    ...asked,
    made: (typed) => [madeEntry(of(typed), read(typed))],
    also: (typed) => (also?.(typed) ?? {}) as Readonly<Record<string, string>>,
  });
  return { form, read };
}
