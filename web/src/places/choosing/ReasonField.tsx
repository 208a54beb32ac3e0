import { useState } from 'react';
import { Field } from '../../parts/Field';
import type { Choosable } from './decisions';
import { say } from '@yaylak/contract';

interface Props {
  readonly row: Choosable;
  readonly onReason: (reason: string) => void;
  readonly isMissing: boolean;
}

/** The reason for deciding otherwise than suggested; kept when it is left or Enter is pressed. */
export function ReasonField({ row, onReason, isMissing }: Props) {
  const kept = row.decided?.reason ?? '';
  const [typed, setTyped] = useState(kept);
  const done = (): void => {
    if (typed.trim() !== kept) onReason(typed.trim());
  };
  return (
    <Field
      isLabelHidden
      label={say('Reason for {text}', { text: row.tag.text })}
      placeholder={isMissing ? say('Why?') : ''}
      value={typed}
      onChange={setTyped}
      onBlur={done}
      onKeyDown={(e) => e.key === 'Enter' && done()}
    />
  );
}
