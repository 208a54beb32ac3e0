import { Limb } from './Limb';
import { Sketch } from './sketch';
import { say } from '@yaylak/contract';

const PLACES = [
  { x: 52, y: 46, words: say('tail-head') },
  { x: 110, y: 40, words: say('loin') },
  { x: 150, y: 66, words: say('ribs') },
  { x: 210, y: 98, words: say('brisket') },
] as const;

/** Where fat is felt by hand before selling. Our own drawing, not to scale. */
export const HandlingDrawing = () => (
  <Sketch viewBox="0 0 300 170" role="img" aria-label={say('Where fat is felt: tail-head, loin, ribs and brisket')}>
    <Limb d="M 88 100 L 92 146" />
    <Limb d="M 68 96 L 64 146" />
    <Limb d="M 186 100 L 182 146" />
    <Limb d="M 204 96 L 208 146" />
    <path
      className="wash"
      d="M 46 52 Q 60 34 100 36 L 186 36 Q 206 36 218 22 Q 230 10 250 14 L 276 32 Q 280 40 270 44 L 250 46 Q 236 62 226 84 Q 216 108 190 106 L 96 108 Q 58 108 48 84 Q 40 66 46 52 Z"
    />
    <path className="line" d="M 46 54 Q 36 66 40 82" />
    <path className="line" d="M 236 16 Q 224 22 226 34 Q 238 34 244 26" />
    <circle cx="258" cy="28" r="2" />
    {PLACES.map(({ x, y }, i) => (
      <g key={x}>
        <circle className="mark" cx={x} cy={y} r="9" />
        <text className="number" x={x} y={y + 3.5}>
          {i + 1}
        </text>
      </g>
    ))}
    <text x="24" y="166">
      {PLACES.map(({ words }, i) => `${i + 1} ${words}`).join('   ')}
    </text>
  </Sketch>
);
