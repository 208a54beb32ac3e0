import type { ComponentProps } from 'react';
import { useController } from 'react-hook-form';
import { BigKeys } from '../BigKeys';
import { Choice } from '../Choice';
import { Wrong } from '../Wrong';
import { Field } from '../Field';
import { Tick } from '../Tick';
import { useShown } from './shownFields';

type OfForm<Control> = Omit<Control, 'value' | 'onChange' | 'error' | 'isSelected'> & { readonly name: string };

interface FieldProps extends OfForm<ComponentProps<typeof Field>> {
  /** What stands there until something is typed; the form's own value is null until then. */
  readonly usual?: string;
}

/** A field of the form around it, with what is wrong with it. */
export function FormField({ name, usual = '', ...props }: FieldProps) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  return (
    <Field
      {...props}
      name={name}
      value={(field.value as string | null) ?? usual}
      onChange={field.onChange}
      onBlur={field.onBlur}
      error={fieldState.error?.message}
      inputRef={field.ref}
    />
  );
}

interface ChoiceProps {
  readonly name: string;
  readonly label: string;
  readonly isLabelHidden?: boolean;
  readonly options: readonly (readonly [value: string, words: string])[];
}

/** One of a few, of the form around it. */
export function FormChoice({ name, label, isLabelHidden = false, options }: ChoiceProps) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  return (
    <Choice
      label={label}
      isLabelHidden={isLabelHidden}
      options={options}
      value={field.value as string}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}

/** A yes or no of the form around it. */
export function FormTick({ name, ...props }: OfForm<ComponentProps<typeof Tick>>) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  return (
    <>
      <Tick {...props} isSelected={field.value === true} onChange={field.onChange} />
      {fieldState.error ? <Wrong role="alert">{fieldState.error.message}</Wrong> : null}
    </>
  );
}

interface BigKeysProps<T extends string> {
  readonly name: string;
  readonly label: string;
  readonly options: readonly (readonly [T, string])[];
  readonly isNeeded?: boolean;
}

/** One of a few by a big key, of the form around it; pressed again it is none, where none will do. */
export function FormBigKeys<T extends string>({ name, ...props }: BigKeysProps<T>) {
  const { field } = useController({ name });
  return <BigKeys {...props} value={field.value as T | ''} onChange={field.onChange} />;
}
