import type { GainView } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { scaleUnit, type Species } from '@yaylak/core';
import { colour, space } from '../theme/tokens';
import { fullDate } from '../words/dates';
import { gainText, perDayText, verdictText } from '../words/format';
import { How } from './How';
import { useWeightUnit } from '../words/useHolding';
import { say } from '@yaylak/contract';

interface Props {
  readonly gain: GainView | null;
  readonly title: string;
  readonly species: Species;
  readonly isCompact?: boolean;
}

/** A gain with its verdict; it says when it is too soon to tell, and how wide the guess is. */
export function GainFigure({ gain, title, species, isCompact = false }: Props) {
  const scale = scaleUnit(species, useWeightUnit());
  if (!gain) return <span>{say('no gain yet')}</span>;
  return (
    <Box>
      <b>{gainText(gain, scale)}</b>
      {gain.verdict === 'no-group' ? null : <Verdict data-verdict={gain.verdict}>{verdictText(gain)}</Verdict>}
      {isCompact ? null : (
        <How of={title}>
          <p>
            {say('{value} from {date} to {date2}: {perDay}.', {
              value:
                gain.readings === 2
                  ? say('Two readings')
                  : say('A straight line through {readings} readings', { readings: gain.readings }),
              date: fullDate(gain.from),
              date2: fullDate(gain.to),
              perDay: perDayText(gain.kgPerDay, scale),
            })}
          </p>
          <p>
            {say(
              'Gut fill and the scale move a reading by a few per cent, so four times out of five the true gain lies between {perDay} and {perDay2}. More days between weighings make it narrower.',
              {
                perDay: perDayText(gain.kgPerDay - gain.halfWidth, scale),
                perDay2: perDayText(gain.kgPerDay + gain.halfWidth, scale),
              },
            )}
          </p>
          {gain.lineKgPerDay === null ? (
            <p>{say('There is no line to hold it against here.')}</p>
          ) : (
            <p>
              {say(
                'The line is half the median of its contemporaries: {perDay}. A verdict is given only when the whole range lies on one side.',
                { perDay: perDayText(gain.lineKgPerDay, scale) },
              )}
            </p>
          )}
          <p>
            <Link to="/holding">{say('The share for gut fill and scale is set under Holding')}</Link>
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
