import 'reflect-metadata';
import { newId } from '../../words/ids';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useForm, type DefaultValues, type FieldErrors, type FieldValues, type UseFormReturn } from 'react-hook-form';
import type { EntryDraft } from '../../outbox/useRecord';

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

/** Any stamp that fits. */
const STAMP = { id: newId(), writtenAt: new Date(0).toISOString(), writtenBy: '-', source: 'hand' } as const;

/**
 * A form of one entry: fields are typed as text, and the contract's class, the same the server asks, says which of them
 * does not fit; the words to each are the form's own.
 */
export function useEntryForm<Typed extends FieldValues>({
  of,
  start,
  read,
  words,
  also,
  fieldOf = {},
}: Asked<Typed>): EntryFormState<Typed> {
  const form = useForm<Typed>({
    defaultValues: start,
    resolver: async (typed, context, options) => {
      // What every entry carries is filled in when it is sent.
      const entry = { ...STAMP, ...read(typed) };
      const { errors } = await classValidatorResolver(of(typed), {}, { mode: 'sync' })(
        entry,
        context,
        options as never,
      );
      // What the form has no field for is the book's to judge, not whoever fills it in.
      const own = Object.keys(errors).flatMap((name) => {
        const field = fieldOf[name] ?? name;
        return field in typed ? [[field, words[name] ?? `This cannot be taken as it is (${name}).`] as const] : [];
      });
      const against = { ...Object.fromEntries(own), ...also?.(typed) };
      if (Object.keys(against).length === 0) return { values: typed, errors: {} };
      return {
        values: {},
        errors: Object.fromEntries(
          Object.entries(against).map(([field, message]) => [field, { type: 'refused', message }]),
        ) as FieldErrors<Typed>,
      };
    },
  });
  return { form, read };
}
