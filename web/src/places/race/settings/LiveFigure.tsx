import { readTypedNumber } from '@yaylak/core';
import { useState } from 'react';
import { Field } from '../../../parts/Field';
import { say } from '@yaylak/contract';

/** A figure that may be left empty; what is no number stays in the field and is not taken. */
export function LiveFigure({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
}) {
  const [text, setText] = useState(value === undefined ? '' : String(Number(value.toFixed(4))));
  const typed = readTypedNumber(text);
  return (
    <Field
      label={label}
      inputMode="decimal"
      value={text}
      error={
        typed.kind === 'refused' && typed.reason !== 'empty' ? say('“{text}” is not a number.', { text }) : undefined
      }
      onChange={(next) => {
        setText(next);
        const read = readTypedNumber(next);
        onChange(read.kind === 'number' ? read.value : undefined);
      }}
    />
  );
}
