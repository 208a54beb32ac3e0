import { say } from '@yaylak/contract';
import { How } from '../How';

/** What an inbreeding coefficient is, and what makes it up. */
export const InbreedingHow = ({ of }: { readonly of: string }) => (
  <How of={of}>
    <p>
      {say(
        'The inbreeding coefficient is the chance that both copies of a gene come from one ancestor. It is parted here by the animal in which the sire’s and the dam’s lines meet; the parts add up to it (Meuwissen and Luo 1992).',
      )}
    </p>
  </How>
);
