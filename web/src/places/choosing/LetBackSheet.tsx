import type { SetAnimal } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';

interface Props {
  readonly animal: SetAnimal | undefined;
  readonly onClose: () => void;
  readonly onLetBack: (reason: string) => void;
}

/** Lets one that failed by eye back among the others, with the reason that is remembered. */
export const LetBackSheet = ({ animal, onClose, onLetBack }: Props) => (
  <Sheet title={`Let ${animal?.tag.text ?? ''} back?`} isOpen={animal !== undefined} onClose={onClose}>
    {animal ? <Form key={animal.tag.animalId} animal={animal} onLetBack={onLetBack} /> : null}
  </Sheet>
);

function Form({ animal, onLetBack }: { readonly animal: SetAnimal; readonly onLetBack: (reason: string) => void }) {
  const [reason, setReason] = useState('');
  const failed = animal.eye.failed.map((f) => f.name.toLowerCase()).join(' and ');
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        onLetBack(reason.trim());
      }}
    >
      <p style={{ marginBottom: 12 }}>
        It failed on {failed}. It will be ranked with the others, and the reason goes with the choice.
      </p>
      <Field autoFocus label="Reason" value={reason} onChange={setReason} />
      <Row style={{ marginTop: 12 }}>
        <Button kind="main" type="submit" isDisabled={reason.trim() === ''}>
          Let back
        </Button>
      </Row>
    </form>
  );
}
