import { say } from '@yaylak/contract';
import { How } from '../How';

/** What counts as reared, and over which years. */
export const RearedHow = () => (
  <How of={say('Reared a year')}>
    <p>
      {say(
        'Reared: weaned, or past the age of weaning, each counted at the dam that reared it; one still with her counts the chance that it gets there. The years run from the first birth to the last, and on to the next usual one, or to today where that is longer. The range holds the true figure four times out of five.',
      )}
    </p>
  </How>
);
