import { say } from '@yaylak/contract';
import { How } from '../How';

/** How likely it is that she gives birth by tomorrow. */
export const TonightHow = () => (
  <How of={say('Tonight')}>
    <p>
      {say(
        'The chance that she gives birth today or tomorrow: that she carries at all, times the share of pregnancies that end on these two days of those that have lasted so long.',
      )}
    </p>
  </How>
);
