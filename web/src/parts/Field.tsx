import type { ReactNode, Ref } from 'react';
import { FieldError, Input, Label, Text, TextField, type TextFieldProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { DATE_TYPES, DateField } from './DateField';
import { fieldFrame } from './fieldFrame';
import { fieldLook } from './fieldLook';

interface Props extends TextFieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly placeholder?: string;
  /** Where a heading over it says the same. */
  readonly isLabelHidden?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  /** The list of suggestions it has. */
  readonly list?: string;
}

/** A field with its label, its hint and what is wrong with it. */
export function Field(props: Props) {
  const { type, value, onChange, style } = props;
  const dated = DATE_TYPES.find((one) => one === type);
  if (dated === undefined) return <TextBox {...props} />;
  const { label, hint, error, isLabelHidden = false, inputRef, onBlur, autoFocus, isDisabled } = props;
  return (
    <DateField
      type={dated}
      value={value ?? ''}
      onChange={(day) => onChange?.(day)}
      onBlur={onBlur && (() => onBlur({} as never))}
      style={typeof style === 'object' ? style : undefined}
      {...{ label, hint, error, isLabelHidden, inputRef, autoFocus, isDisabled }}
    />
  );
}

function TextBox({ label, hint, error, placeholder, isLabelHidden = false, inputRef, list, ...props }: Props) {
  return (
    <Box {...props} {...(isLabelHidden ? { 'aria-label': label } : {})} isInvalid={error !== undefined}>
      {isLabelHidden ? null : <Label>{label}</Label>}
      <FieldInput
        ref={inputRef}
        {...(list === undefined ? {} : { list })}
        {...(placeholder === undefined ? {} : { placeholder })}
      />
      {hint ? <Text slot="description">{hint}</Text> : null}
      <FieldError>{error === undefined ? null : <span role="alert">{error}</span>}</FieldError>
    </Box>
  );
}

const Box = styled(TextField)`
  ${fieldFrame}
`;
const FieldInput = styled(Input)`
  ${fieldLook}
  &[data-invalid] {
    border-color: ${colour('madder')};
  }
`;
