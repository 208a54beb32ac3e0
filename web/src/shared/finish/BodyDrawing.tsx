import { FAT_PLACES, type FatPlace } from '@yaylak/core';
import styled from 'styled-components';
import { colour, fonts } from '../../theme/tokens';
import { say } from '@yaylak/contract';

/** Where each place lies on the drawing. */
const AT: Readonly<Record<FatPlace, readonly [x: number, y: number]>> = {
  tail: [49, 68],
  loin: [112, 62],
  ribs: [158, 88],
  brisket: [226, 146],
};

/** A lamb from the side with the places the hand goes to, numbered in their order. Our own drawing, not to scale. */
export function BodyDrawing() {
  return (
    <Drawing
      viewBox="0 0 320 220"
      role="img"
      aria-label={say('A lamb from the side: 1 tail-head, 2 loin, 3 ribs, 4 brisket')}
    >
      <path
        className="leg"
        d="M 62 138 L 58 170 L 66 206 L 76 206 L 74 172 L 88 148 Z M 92 146 L 92 206 L 101 206 L 104 150 Z M 190 150 L 190 206 L 199 206 L 202 152 Z M 208 150 L 214 206 L 223 206 L 222 148 Z"
      />
      <path
        className="body"
        d="M 46 70 Q 58 54 92 56 Q 150 62 205 54 Q 226 52 238 66 Q 246 96 238 132 Q 230 152 206 154 Q 150 168 96 152 Q 62 150 50 120 Q 40 94 46 70 Z"
      />
      <path className="leg" d="M 47 72 Q 36 82 38 106 Q 40 114 46 110 Q 46 92 50 82 Z" />
      <path
        className="body"
        d="M 222 62 Q 238 30 256 24 Q 270 22 282 34 L 300 54 Q 303 62 294 66 Q 280 70 268 68 Q 256 84 244 92 Q 236 78 222 62 Z"
      />
      <path className="leg" d="M 256 28 Q 240 30 234 42 Q 248 46 262 38 Z" />
      <circle className="eye" cx="279" cy="45" r="2.4" />
      {FAT_PLACES.map((place, i) => (
        <g key={place} transform={`translate(${AT[place][0]} ${AT[place][1]})`}>
          <circle className="spot" r="13" />
          <text textAnchor="middle" dy="5">
            {i + 1}
          </text>
        </g>
      ))}
    </Drawing>
  );
}

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 360px;
  .body {
    fill: ${colour('weldWash')};
    stroke: ${colour('ink')};
    stroke-width: 1.8;
    stroke-linejoin: round;
  }
  .leg {
    fill: ${colour('stretch')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .eye {
    fill: ${colour('ink')};
  }
  .spot {
    fill: ${colour('madderWash')};
    stroke: ${colour('madder')};
    stroke-width: 2;
  }
  text {
    font: 700 15px ${fonts.heading};
    fill: ${colour('ink')};
  }
`;
