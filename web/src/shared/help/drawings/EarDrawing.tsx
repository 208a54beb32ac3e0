import { Sketch } from './sketch';
import { say } from '@yaylak/contract';

/** An ear from the front: where a tag is set. Our own drawing, not to scale. */
export const EarDrawing = () => (
  <Sketch
    viewBox="0 0 300 150"
    role="img"
    aria-label={say('An ear: the tag between its two ridges, a third out from the head')}
  >
    <path className="wash" d="M 8 20 Q 34 40 40 78 Q 36 112 10 136 L 0 136 L 0 20 Z" />
    <path className="skin" d="M 38 74 C 70 18 190 12 282 62 C 232 116 92 140 40 92 Q 36 84 38 74 Z" />
    <path className="line" d="M 46 76 C 100 42 190 38 258 60" />
    <path className="line" d="M 48 88 C 104 106 180 100 250 72" />
    <line className="thin" x1="118" y1="20" x2="118" y2="126" />
    <circle className="mark" cx="118" cy="74" r="9" />
    <text x="4" y="148">
      {say('head')}
    </text>
    <text x="274" y="46">
      {say('tip')}
    </text>
    <text x="124" y="138">
      {say('a third out, between the ridges')}
    </text>
  </Sketch>
);
