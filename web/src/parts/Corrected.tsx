import type { BiasView } from '@yaylak/contract';
import { PAIRS_FOR_BIAS } from '@yaylak/core';
import { Link } from 'react-router';
import { biasText, readsText } from '../words/format';
import { How } from './How';
import { Row } from './Panel';

/** Says that a tape's or an eye's weights are set right here, and by what. */
export function Corrected({ bias }: { readonly bias: BiasView }) {
  const what = bias.method === 'tape' ? 'tape' : 'eye';
  return (
    <Row>
      <span>
        Weights by {bias.by}’s {what} are shown corrected: it {readsText(bias)}.
      </span>
      <How of={`${bias.by}’s ${what}`}>
        <p>
          On {bias.pairs} days an animal was weighed by {bias.by}’s {what} and by the scale as well. The mean ratio of
          the two is {biasText(bias)}.
        </p>
        <p>
          From {PAIRS_FOR_BIAS} such pairs on, every weight of that hand on that species is divided by it. What was read
          stays in the book as it was written.
        </p>
        <p>
          <Link to="/holding">All hands are listed under Holding</Link>
        </p>
      </How>
    </Row>
  );
}
