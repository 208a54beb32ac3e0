import { listed, type SetAnimal, say, lower } from '@yaylak/contract';
import { ReasonSheet } from './ReasonSheet';

interface Props {
  readonly animal: SetAnimal | undefined;
  readonly onClose: () => void;
  readonly onLetBack: (reason: string) => void;
}

/** Lets one that failed by eye back among the others, with the reason that is remembered. */
export const LetBackSheet = ({ animal, onClose, onLetBack }: Props) => (
  <ReasonSheet
    title={say('Let {n} back?', { n: animal?.tag.text ?? '' })}
    words={say('It failed on {listed}. It will be ranked with the others, and the reason goes with the choice.', {
      listed: listed(animal?.eye.failed.map((f) => lower(f.name)) ?? []),
    })}
    action={say('Let back')}
    isOpen={animal !== undefined}
    onClose={onClose}
    onReason={onLetBack}
  />
);
