import type { ReactNode, Ref } from 'react';
import { FieldError, Input, Label, Text, TextField, type TextFieldProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
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

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly onChange: (value: T) => void;
  readonly isLabelHidden?: boolean;
  readonly error?: string | undefined;
}

/** One of a few, by the browser's own select: it works with every keyboard, glove and reader. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  isLabelHidden = false,
  error,
}: ChoiceProps<T>) {
  return (
    <ChoiceBox>
      <span data-hidden={isLabelHidden || undefined}>{label}</span>
      <select aria-label={label} value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
      {error === undefined ? null : <Wrong role="alert">{error}</Wrong>}
    </ChoiceBox>
  );
}
/** What is wrong with a choice or a tick, beneath it. */
export const Wrong = styled.span`
  font-size: 13px;
  color: ${colour('madder')};
  font-weight: 600;
`;
const ChoiceBox = styled.label`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  font-size: 13px;
  color: ${colour('inkSoft')};
  span[data-hidden] {
    display: none;
  }
  select {
    ${fieldLook}
    font-size: 15px;
  }
`;
