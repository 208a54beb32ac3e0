import type { BiasView } from '@yaylak/contract';
import { PAIRS_FOR_BIAS } from '@yaylak/core';
import { Link } from 'react-router';
import { biasText, readsText } from '../words/format';
import { How } from './How';
import { Row } from './Panel';
import { say } from '@yaylak/contract';

/** Says that a tape's or an eye's weights are set right here, and by what. */
export function Corrected({ bias }: { readonly bias: BiasView }) {
  const what = bias.method === 'tape' ? say('tape') : say('eye');
  return (
    <Row>
      <span>
        {say('Weights by {by}’s {what} are shown corrected: it {reads}.', {
          by: bias.by,
          what,
          reads: readsText(bias),
        })}
      </span>
      <How of={`${bias.by}’s ${what}`}>
        <p>
          {say(
            'On {pairs} days an animal was weighed by {by}’s {what} and by the scale as well. The mean ratio of the two is {bias}.',
            { pairs: bias.pairs, by: bias.by, what, bias: biasText(bias) },
          )}
        </p>
        <p>
          {say(
            'From {pairs} such pairs on, every weight of that hand on that species is divided by it. What was read stays in the book as it was written.',
            { pairs: PAIRS_FOR_BIAS },
          )}
        </p>
        <p>
          <Link to="/holding">{say('All hands are listed under Holding')}</Link>
        </p>
      </How>
    </Row>
  );
}
