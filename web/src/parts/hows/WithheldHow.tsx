import { say } from '@yaylak/contract';
import { Small } from '../Panel';
import { How } from '../How';

/** Until when meat or milk may not be used. */
export const WithheldHow = () => (
  <How of={say('How long it is withheld')}>
    <p>
      {say(
        'The day it was last given, and the days of the label for the species and the way it is given; off the label the days the vet gave. The last day counts whole: it is clear the day after. Of several products the longest counts.',
      )}
    </p>
    <Small>
      {say(
        'The label’s days are kept with each product under Remedies. The label, your vet and the local rules decide.',
      )}
    </Small>
  </How>
);
