import { useId } from 'react';
import { useController } from 'react-hook-form';
import styled from 'styled-components';
import { colour, space } from '../../theme/tokens';
import { Wrong } from '../Wrong';
import { fieldLook } from '../fieldLook';
import { useShown } from './shownFields';

interface Props {
  readonly name: string;
  readonly label: string;
  readonly hint: string;
  readonly placeholder?: string;
  readonly rows?: number;
  /** A line says more than one thing. */
  readonly isWide?: boolean;
}

/** Several lines of the form around it, one thing a line: a column of a spreadsheet can be pasted. */
export function FormLines({ name, label, hint, placeholder, rows = 5, isWide = false }: Props) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>{label}</label>
      <Lines
        id={id}
        name={name}
        rows={rows}
        placeholder={placeholder}
        $isWide={isWide}
        aria-describedby={`${id}-hint`}
        aria-invalid={fieldState.error !== undefined}
        value={field.value as string}
        onChange={(e) => field.onChange(e.target.value)}
        onBlur={field.onBlur}
      />
      <small id={`${id}-hint`}>{hint}</small>
      {fieldState.error ? <Wrong role="alert">{fieldState.error.message}</Wrong> : null}
    </Box>
  );
}

const Box = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  label,
  small {
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
`;
const Lines = styled.textarea<{ readonly $isWide: boolean }>`
  ${fieldLook}
  padding: ${space(2)} ${space(3)};
  width: 100%;
  max-width: ${(p) => (p.$isWide ? 520 : 320)}px;
  font: inherit;
`;
