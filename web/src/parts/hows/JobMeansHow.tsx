import { say } from '@yaylak/contract';
import { How } from '../How';

/** What the means of a job at the race are of. */
export const JobMeansHow = () => (
  <How of={say('Means of the job')}>
    <p>
      {say(
        'The mean of the weights taken so far in this job. The gain is the mean of each one’s own, from its weighing before to now; with ± the mean of all such animals lies in four cases of five. Who has no weight before is not in it.',
      )}
    </p>
  </How>
);
