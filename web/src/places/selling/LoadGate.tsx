import { normalised } from '@yaylak/core';
import { useRef, useState, type FormEvent } from 'react';
import { useReadings } from '../../adapters/readings/useReadings';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { NotePanel, Panel, Row } from '../../parts/Panel';
import { Readers } from '../../shared/readers/Readers';
import type { LoadAtHand } from './useLoad';
import { say } from '@yaylak/contract';

/** At the ramp: a number typed, or read by the stick, goes aboard or is put on. One that is not taken stays typed. */
export function LoadGate({ on, atHand }: { readonly on: string; readonly atHand: LoadAtHand }) {
  const { said, take, goOn, refuse } = atHand;
  const [typed, setTyped] = useState('');
  const input = useRef<HTMLInputElement>(null);
  useReadings({
    onNumber: (digits) => void take(digits),
    onBadNumber: (text) => refuse(say('“{text}” is not a whole number. Read it again.', { text })),
    onWeight: () => undefined,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (normalised(typed) === '') return;
    setTyped('');
    input.current?.focus();
    // Unless the next was begun meanwhile.
    void take(typed).then((isTaken) => setTyped((now) => (isTaken || now !== '' ? now : typed)));
  };
  return (
    <Panel>
      <form onSubmit={submit}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field
            label={say('Number, typed or read')}
            value={typed}
            onChange={setTyped}
            inputRef={input}
            hint={say('On the load already: it goes aboard. Else it is put on.')}
          />
          <Button type="submit">{say('Take it')}</Button>
          <Readers />
          <Field
            label={say('Goes on')}
            type="date"
            value={on}
            onChange={(day) => (day === '' ? undefined : void goOn(day))}
          />
        </Row>
      </form>
      {said ? (
        <NotePanel $tone={said.tone} role={said.tone === 'madder' ? 'alert' : 'status'} style={{ marginTop: 12 }}>
          {said.words}
        </NotePanel>
      ) : null}
    </Panel>
  );
}
