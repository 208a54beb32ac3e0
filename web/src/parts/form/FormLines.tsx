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
}

const ROWS = 5;

/** Several lines of the form around it, one thing a line: a column of a spreadsheet can be pasted. */
export function FormLines({ name, label, hint }: Props) {
  const { field, fieldState } = useController({ name });
  useShown(name);
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>{label}</label>
      <Lines
        id={id}
        name={name}
        rows={ROWS}
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
const Lines = styled.textarea`
  ${fieldLook}
  padding: ${space(2)} ${space(3)};
  max-width: 320px;
  font: inherit;
`;
