import { listed, type SetAnimal } from '@yaylak/contract';
import { ReasonSheet } from './ReasonSheet';

interface Props {
  readonly animal: SetAnimal | undefined;
  readonly onClose: () => void;
  readonly onLetBack: (reason: string) => void;
}

/** Lets one that failed by eye back among the others, with the reason that is remembered. */
export const LetBackSheet = ({ animal, onClose, onLetBack }: Props) => (
  <ReasonSheet
    title={`Let ${animal?.tag.text ?? ''} back?`}
    words={`It failed on ${listed(animal?.eye.failed.map((f) => f.name.toLowerCase()) ?? [])}. It will be ranked with the others, and the reason goes with the choice.`}
    action="Let back"
    isOpen={animal !== undefined}
    onClose={onClose}
    onReason={onLetBack}
  />
);
