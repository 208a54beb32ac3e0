import type { Species } from '@yaylak/core';
import styled from 'styled-components';
import { colour } from '../../../theme/tokens';
import { say } from '@yaylak/contract';

/** Species the drawing is like; a rabbit is felt along the back. */
export const DRAWN_LOINS: readonly Species[] = ['sheep', 'goat', 'cattle'];

interface Props {
  /** 1 to 5. */
  readonly score: number;
}

const between = (low: number, high: number, share: number): number => low + (high - low) * share;

/**
 * A cut across the loin, drawn from the score: bone, the eye muscle on it, and the fat and skin over both. Our own
 * drawing, not to scale.
 */
export function LoinDrawing({ score }: Props) {
  const full = (score - 1) / 4;
  // The skin falls in between ridge and ribs when thin, and stands over them when fat.
  const muscleMid = between(92, 34, Math.min(1, full * 1.25));
  const fat = between(1, 17, full ** 1.6);
  const ridge = 34;
  const overRidge = ridge - between(0, 4, full);
  const dimple = score >= 4.5 ? 7 : 0;
  const ends = 88;
  const skin = `M 8 150 Q 20 ${ends + 18 - fat} 34 ${ends - fat} Q 66 ${muscleMid - fat} 92 ${overRidge - fat * 0.6}
    Q 100 ${overRidge - fat * 0.6 + dimple} 108 ${overRidge - fat * 0.6} Q 134 ${muscleMid - fat} 166 ${ends - fat}
    Q 180 ${ends + 18 - fat} 192 150 Z`;
  const muscle = (side: 1 | -1): string => {
    const x = (dx: number): number => 100 + side * dx;
    return `M ${x(5)} ${ridge + 8} Q ${x(34)} ${muscleMid} ${x(62)} ${ends - 4} L ${x(10)} ${ends - 8} Z`;
  };
  return (
    <Drawing viewBox="0 0 200 150" role="img" aria-label={say('A cut across the loin at score {score}', { score })}>
      <path d={skin} className="fat" />
      <path d="M 13 150 Q 26 112 36 97 L 164 97 Q 174 112 187 150 Z" className="body" />
      <path d={muscle(1)} className="muscle" />
      <path d={muscle(-1)} className="muscle" />
      <path
        d="M 96 34 Q 100 30 104 34 L 107 76 Q 140 82 165 90 L 164 97 Q 134 92 112 92 A 13 13 0 1 1 88 92 Q 66 92 36 97 L 35 90 Q 60 82 93 76 Z"
        className="bone"
      />
      <circle cx="100" cy="88" r="4" className="hole" />
    </Drawing>
  );
}

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 190px;
  .fat {
    fill: ${colour('weldWash')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
  .body {
    fill: ${colour('stretch')};
  }
  .muscle {
    fill: ${colour('madderWash')};
    stroke: ${colour('madder')};
    stroke-width: 1;
  }
  .bone {
    fill: ${colour('bandInk')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
  .hole {
    fill: ${colour('ground')};
    stroke: ${colour('ink')};
    stroke-width: 1;
  }
`;
