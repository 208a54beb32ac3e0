import type { Species } from '@yaylak/core';
import { useController } from 'react-hook-form';
import { useShown } from '../../parts/form/shownFields';
import { GroupField } from './GroupField';

/** A group of the form around it, which may be made at once. */
export function FormGroup({
  name,
  label,
  none,
  species,
}: {
  readonly name: string;
  readonly label: string;
  readonly none: string;
  readonly species?: Species;
}) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  return (
    <GroupField
      label={label}
      none={none}
      species={species}
      value={field.value as string}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}
