import { dayOf } from '@yaylak/core';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { shortDate } from '../words/format';

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
  const words = `held from ${shortDate(from)} to the end of ${shortDate(until)}, ${days === 1 ? 'today is the last day' : `${days} days to go`}`;
  return (
    <Box role="img" aria-label={words} title={words}>
      <Track>
        <Now style={{ left: `${left * 100}%` }} />
      </Track>
      <Labels>
        <span>{shortDate(from)}</span>
        <b>{days === 1 ? 'last day' : `${days} days to go`}</b>
        <span>{shortDate(until)}</span>
      </Labels>
    </Box>
  );
}

const Box = styled.div`
  min-width: 150px;
`;
const Track = styled.div`
  position: relative;
  height: 8px;
  border-radius: 4px;
  background: repeating-linear-gradient(135deg, ${colour('plum')} 0 3px, ${colour('plumWash')} 3px 7px);
  margin: ${space(2)} 0 ${space(1)};
`;
const Now = styled.span`
  position: absolute;
  top: -6px;
  width: 2px;
  height: 20px;
  background: ${colour('ink')};
`;
const Labels = styled.div`
  display: flex;
  justify-content: space-between;
  gap: ${space(2)};
  font-size: 12px;
  color: ${colour('inkSoft')};
  b {
    color: ${colour('plum')};
  }
`;
