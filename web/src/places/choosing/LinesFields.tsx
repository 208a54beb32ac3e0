import { linesWithin, type Lines } from '@yaylak/core';
import styled from 'styled-components';
import { FigureField } from '../../parts/FigureField';
import { say } from '@yaylak/contract';

interface Props {
  readonly lines: Lines;
  readonly ranked: number;
  readonly onLines: (lines: Lines) => void;
}

/** How many stay and how many are the second string, typed; the lines in the list stand where these say. */
export function LinesFields({ lines, ranked, onLines }: Props) {
  const left = ranked - lines.keep;
  return (
    <>
      <Short>
        <FigureField
          key={lines.keep}
          label={say('Keep, of {ranked}', { ranked })}
          value={String(lines.keep)}
          faultOf={(n) => fault(n, ranked, say('Only {ranked} are ranked: type {ranked} or fewer.', { ranked }))}
          onTyped={(keep = 0) => onLines(linesWithin({ ...lines, keep }, ranked))}
        />
      </Short>
      <Short>
        <FigureField
          key={`${lines.second} ${left}`}
          label={say('Second string')}
          value={String(lines.second)}
          faultOf={(n) =>
            fault(n, left, say('Only {left} are left after those that stay: type {left} or fewer.', { left }))
          }
          onTyped={(second = 0) => onLines(linesWithin({ ...lines, second }, ranked))}
        />
      </Short>
    </>
  );
}

const fault = (n: number | undefined, most: number, tooMany: string): string | undefined =>
  n === undefined || !Number.isInteger(n) || n < 0
    ? say('Type a whole number, 0 or more.')
    : n > most
      ? tooMany
      : undefined;

const Short = styled.div`
  width: 120px;
`;
