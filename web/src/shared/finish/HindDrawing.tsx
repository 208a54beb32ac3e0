import styled from 'styled-components';
import { colour } from '../../theme/tokens';
import { say } from '@yaylak/contract';

interface Props {
  /** Class of shape from the poorest, 0, to the best, 4. */
  readonly shape: number;
  readonly name: string;
}

/** An animal from behind: how far thigh and loin stand out. Our own drawing, not to scale. */
export function HindDrawing({ shape, name }: Props) {
  // From hollow, under 0, to bulging.
  const bulge = (shape - 2) * 8;
  const loin = 24 + shape * 4;
  const side = (way: 1 | -1): string => {
    const x = (dx: number): number => 75 + way * dx;
    return `C ${x(loin + 4)} 18 ${x(42 + bulge / 2)} 30 ${x(42 + bulge / 3)} 52 C ${x(44 + bulge)} 78 ${x(34 + bulge)} 96 ${x(22)} 112 L ${x(18)} 146`;
  };
  const back = (way: 1 | -1): string => {
    const x = (dx: number): number => 75 + way * dx;
    return `L ${x(8)} 146 L ${x(7)} 108 Q ${x(5)} 92 75 ${84 - bulge / 4}`;
  };
  const ridge = 20 - Math.max(0, 2 - shape) * 3;
  return (
    <Drawing viewBox="0 0 150 152" role="img" aria-label={say('From behind, shape {name}', { name })}>
      <path className="body" d={`M 75 ${ridge} ${side(1)} ${back(1)} L 75 ${ridge} Z`} />
      <path className="body" d={`M 75 ${ridge} ${side(-1)} ${back(-1)} L 75 ${ridge} Z`} />
      <path className="tail" d="M 70 34 Q 75 30 80 34 L 79 62 Q 75 68 71 62 Z" />
    </Drawing>
  );
}

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 130px;
  .body {
    fill: ${colour('weldWash')};
    stroke: ${colour('ink')};
    stroke-width: 1.6;
    stroke-linejoin: round;
  }
  .tail {
    fill: ${colour('stretch')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
`;
