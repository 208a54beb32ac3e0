import 'reflect-metadata';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { fieldName, say } from '@yaylak/contract';
import {
  set,
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form';

/** What is sent, and the contract's class it is held against. */
export interface Made {
  readonly shape: new () => object;
  readonly value: object;
}

/** What stands against a form, by the path of the field: `steps.2.name`. */
export type Against = Readonly<Record<string, string>>;

interface Asked<Typed extends FieldValues> {
  readonly start: DefaultValues<Typed>;
  /** What would be sent of what is typed; a figure that cannot be read is no number, and the class refuses it. */
  readonly made: (typed: Typed) => readonly Made[];
  /** What to say of each field a class refuses, by the class's name for it. */
  readonly words?: Readonly<Record<string, string>>;
  /** What else stands against it: what no class can know, or what is said of a field of a list. */
  readonly also?: (typed: Typed) => Against;
  /** The form's field, where the class calls it otherwise. */
  readonly fieldOf?: Readonly<Record<string, string>>;
}

/**
 * A form whose fields are typed as text. The contract's classes, the same the server asks, say which of them does not
 * fit; the words to each are the form's own.
 */
export function useTypedForm<Typed extends FieldValues>({
  start,
  made,
  words = {},
  also,
  fieldOf = {},
}: Asked<Typed>): UseFormReturn<Typed> {
  return useForm<Typed>({
    defaultValues: start,
    resolver: async (typed, context, options) => {
      const against: Record<string, string> = { ...also?.(typed) };
      if (Object.keys(against).length === 0)
        for (const { shape, value } of made(typed)) {
          const { errors } = await classValidatorResolver(shape, {}, { mode: 'sync' })(
            value,
            context,
            options as never,
          );
          for (const [name, error] of Object.entries(errors)) {
            const field = fieldOf[name] ?? name;
            // What the form has no field for, or what was chosen from a list, is the book's to judge.
            if (!(field in typed) || (name.endsWith('Id') && words[name] === undefined)) continue;
            against[field] ??=
              words[name] ??
              say('{fieldName}: this cannot be taken as it is. Correct it.', {
                fieldName: fieldName(faultPath(error, name)),
              });
          }
        }
      if (Object.keys(against).length === 0) return { values: typed, errors: {} };
      const errors: FieldErrors<Typed> = {};
      for (const [path, message] of Object.entries(against)) set(errors, path, { type: 'refused', message });
      return { values: {}, errors };
    },
  });
}

/** The path of the first fault of a field that has fields of its own. */
function faultPath(error: unknown, path: string): string {
  if (typeof error !== 'object' || error === null || typeof (error as { type?: unknown }).type === 'string')
    return path;
  const [inner] = Object.entries(error);
  return inner ? faultPath(inner[1], `${path}.${inner[0]}`) : path;
}
