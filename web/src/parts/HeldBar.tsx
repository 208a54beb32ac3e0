import { dayOf } from '@yaylak/core';
import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { shortDate } from '../words/dates';
import { StretchBox, StretchLabels, StretchNow, StretchTrack } from './stretchLook';
import { say } from '@yaylak/contract';

interface Props {
  readonly from: string;
  /** The last day it is held. */
  readonly until: string;
  readonly today: string;
}

/** A stretch during which something is held back, with a mark for today. */
export function HeldBar({ from, until, today }: Props) {
  const [a, b, now] = [dayOf(from), dayOf(until), dayOf(today)];
  const length = Math.max(1, b - a + 1);
  const left = Math.max(0, Math.min(1, (now - a) / length));
  const days = b - now + 1;
  const words = say('held from {date} to the end of {date2}, {value}', {
    date: shortDate(from),
    date2: shortDate(until),
    value: days === 1 ? say('today is the last day') : say('{days} days to go', { days }),
  });
  return (
    <StretchBox role="img" aria-label={words} title={words}>
      <Track>
        <StretchNow style={{ left: `${left * 100}%` }} />
      </Track>
      <Labels>
        <span>{shortDate(from)}</span>
        <b>{days === 1 ? say('last day') : say('{days} days to go', { days })}</b>
        <span>{shortDate(until)}</span>
      </Labels>
    </StretchBox>
  );
}

const Track = styled(StretchTrack)`
  background: repeating-linear-gradient(135deg, ${colour('plum')} 0 3px, ${colour('plumWash')} 3px 7px);
`;
const Labels = styled(StretchLabels)`
  b {
    color: ${colour('plum')};
  }
`;
