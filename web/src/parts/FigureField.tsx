import { useRef, useState } from 'react';
import { Field } from './Field';
import { say } from '@yaylak/contract';

interface Props {
  readonly label: string;
  readonly value: string;
  /** Called with what is typed when it is left or Enter is pressed; undefined where nothing stands there. */
  readonly onTyped: (value: number | undefined) => void;
  /** What is wrong with a figure, where it cannot be taken. */
  readonly faultOf?: (value: number | undefined) => string | undefined;
  readonly hint?: string;
}

/** A figure that counts when it is left or Enter is pressed. Keyed by its value, it follows what others set it to. */
export function FigureField({ label, value, onTyped, faultOf, hint }: Props) {
  const [typed, setTyped] = useState(value);
  // Enter and leaving after it say it once.
  const said = useRef(value);
  const text = typed.trim();
  const number = text === '' ? undefined : Number(text.replace(',', '.'));
  const fault = Number.isNaN(number) ? say('“{typed}” is not a number.', { typed }) : faultOf?.(number);
  const done = (): void => {
    if (fault !== undefined || typed === said.current) return;
    said.current = typed;
    onTyped(number);
  };
  return (
    <Field
      label={label}
      value={typed}
      onChange={setTyped}
      onBlur={done}
      onKeyDown={(e) => e.key === 'Enter' && done()}
      error={fault}
      {...(hint === undefined ? {} : { hint })}
    />
  );
}
