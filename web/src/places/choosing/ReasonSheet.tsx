import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { say } from '@yaylak/contract';

interface Props {
  readonly title: string;
  readonly words: string;
  /** The button's word. */
  readonly action?: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onReason: (reason: string) => void;
}

/** Asks why it is decided otherwise than suggested. */
export const ReasonSheet = ({ title, words, action = say('Record it'), isOpen, onClose, onReason }: Props) => (
  <Sheet title={title} isOpen={isOpen} onClose={onClose}>
    {isOpen ? <Form words={words} action={action} onReason={onReason} /> : null}
  </Sheet>
);

function Form({ words, action, onReason }: Pick<Props, 'words' | 'action' | 'onReason'>) {
  const [reason, setReason] = useState('');
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (reason.trim() !== '') onReason(reason.trim());
      }}
    >
      <p style={{ marginBottom: 12 }}>{words}</p>
      <Field autoFocus label={say('Reason')} value={reason} onChange={setReason} />
      <Row style={{ marginTop: 12 }}>
        <Button kind="main" type="submit" isDisabled={reason.trim() === ''}>
          {action}
        </Button>
      </Row>
    </form>
  );
}
