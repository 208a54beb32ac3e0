import { Limb } from './Limb';
import { Sketch } from './sketch';
import { say } from '@yaylak/contract';

/** How one comes as it should: two front feet, and the nose on them. Our own drawing, not to scale. */
export const PresentationDrawing = () => (
  <Sketch
    viewBox="0 0 300 160"
    role="img"
    aria-label={say('A normal birth: two front feet first, the nose lying on them, the back upwards')}
  >
    <path className="skin" d="M 74 38 Q 150 4 232 22 Q 292 44 286 92 Q 276 140 206 146 Q 132 150 76 122 Z" />
    <path className="wash" d="M 132 60 Q 176 34 232 48 Q 270 62 266 98 Q 258 128 214 130 Q 168 130 138 104 Z" />
    <Limb d="M 176 116 Q 120 122 44 112" />
    <Limb d="M 170 102 Q 118 106 36 98" />
    <path className="wash" d="M 142 62 Q 118 56 98 66 L 66 82 Q 62 90 72 92 L 112 94 Q 138 96 146 88 Z" />
    <path className="wash" d="M 134 62 Q 146 44 162 50 Q 158 66 142 72 Z" />
    <circle cx="112" cy="74" r="2.5" />
    <circle cx="71" cy="86" r="1.5" />
    <path className="line" d="M 76 38 Q 64 60 70 76" />
    <path className="line" d="M 76 122 Q 66 116 66 108" />
    <text x="4" y="132">
      {say('two feet')}
    </text>
    <text x="2" y="64">
      {say('nose on')}
    </text>
    <text x="2" y="77">
      {say('them')}
    </text>
    <text x="178" y="88">
      {say('back upwards')}
    </text>
  </Sketch>
);
