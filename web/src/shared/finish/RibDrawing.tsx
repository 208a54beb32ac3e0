import styled from 'styled-components';
import { colour } from '../../theme/tokens';
import { say } from '@yaylak/contract';

interface Props {
  /** Class of fat, 1 to 5. */
  readonly fat: number;
}

const RIBS = [28, 60, 92, 124];
const TOP = 58;

/**
 * A cut along the ribs with the fat over them: at 1 the skin falls in between the ribs, at 5 it lies thick and level over
 * all. Our own drawing, not to scale.
 */
export function RibDrawing({ fat }: Props) {
  const thick = 2 + (fat - 1) ** 1.5 * 4;
  // What is left of the fall between two ribs.
  const dip = Math.max(0, 4.6 - (fat - 1) * 1.3);
  const over = TOP - 12 - thick;
  const between = RIBS.map((x, i) => {
    const next = RIBS[i + 1];
    return next === undefined ? '' : `Q ${(x + next) / 2} ${over + dip * 2} ${next} ${over}`;
  }).join(' ');
  return (
    <Drawing viewBox="0 0 152 84" role="img" aria-label={say('Ribs under fat of class {fat}', { fat })}>
      <path
        className="fat"
        d={`M 4 ${over + dip + 4} Q 14 ${over + 2} ${RIBS[0]} ${over} ${between} Q 138 ${over + 2} 148 ${over + dip + 4} L 148 ${TOP} L 4 ${TOP} Z`}
      />
      <rect className="flesh" x="4" y={TOP - 7} width="144" height="24" />
      {RIBS.map((x) => (
        <ellipse key={x} className="bone" cx={x} cy={TOP} rx="10" ry="12" />
      ))}
    </Drawing>
  );
}

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 150px;
  .fat {
    fill: ${colour('weldWash')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
  .flesh {
    fill: ${colour('madderWash')};
  }
  .bone {
    fill: ${colour('bandInk')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
`;
