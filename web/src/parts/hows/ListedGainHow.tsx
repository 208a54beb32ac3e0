import { say } from '@yaylak/contract';
import { Small } from '../Panel';
import { How } from '../How';

/** The gain of a list's column: between the last two weighings. */
export const ListedGainHow = () => (
  <How of={say('Gain, last two')}>
    <p>
      {say(
        'The last weight less the one before it, over the days between. A tape or an eye is corrected first, where its hand is known well enough.',
      )}
    </p>
    <p>
      {say(
        'Gut fill and the scale move a reading by a few per cent: four times out of five the true gain lies within ±. A month between two weighings makes it narrow, a week does not. The animal’s own page has the gain over longer stretches.',
      )}
    </p>
    <Small>{say('The share for gut fill and scale is set under Holding')}</Small>
  </How>
);
