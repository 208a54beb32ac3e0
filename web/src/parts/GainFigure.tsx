import type { GainView } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { scaleUnit, type Species } from '@yaylak/core';
import { colour, space } from '../theme/tokens';
import { fullDate, gainText, perDayText, verdictText } from '../words/format';
import { How } from './How';
import { useWeightUnit } from '../words/useHolding';

interface Props {
  readonly gain: GainView | null;
  readonly title: string;
  readonly species: Species;
  readonly isCompact?: boolean;
}

/** A gain with its verdict; it says when it is too soon to tell, and how wide the guess is. */
export function GainFigure({ gain, title, species, isCompact = false }: Props) {
  const scale = scaleUnit(species, useWeightUnit());
  if (!gain) return <span>no gain yet</span>;
  return (
    <Box>
      <b>{gainText(gain, scale)}</b>
      {gain.verdict === 'no-group' ? null : <Verdict data-verdict={gain.verdict}>{verdictText(gain)}</Verdict>}
      {isCompact ? null : (
        <How of={title}>
          <p>
            {gain.readings === 2 ? 'Two readings' : `A straight line through ${gain.readings} readings`} from{' '}
            {fullDate(gain.from)} to {fullDate(gain.to)}: {perDayText(gain.kgPerDay, scale)}.
          </p>
          <p>
            Gut fill and the scale move a reading by a few per cent, so four times out of five the true gain lies
            between {perDayText(gain.kgPerDay - gain.halfWidth, scale)} and{' '}
            {perDayText(gain.kgPerDay + gain.halfWidth, scale)}. More days between weighings make it narrower.
          </p>
          {gain.lineKgPerDay === null ? (
            <p>There is no line to hold it against here.</p>
          ) : (
            <p>
              The line is half the median of its contemporaries: {perDayText(gain.lineKgPerDay, scale)}. A verdict is
              given only when the whole range lies on one side.
            </p>
          )}
          <p>
            <Link to="/holding">The share for gut fill and scale is set under Holding</Link>
          </p>
        </How>
      )}
    </Box>
  );
}

const Box = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 ${space(2)};
`;
const Verdict = styled.span`
  font-size: 13px;
  color: ${colour('inkSoft')};
  &[data-verdict='below'] {
    color: ${colour('madder')};
    font-weight: 600;
  }
  &[data-verdict='too-soon'] {
    color: ${colour('weld')};
  }
`;
