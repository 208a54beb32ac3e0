import { say } from '@yaylak/contract';

/** Colours by meaning; the light ones are undyed wool and plant dyes, the barn ones the same by lamp light. */
const light = {
  ground: '#F4EEE2',
  panel: '#FFFCF6',
  rail: '#E7DCC8',
  stretch: '#E7DCC8',
  line: '#D5C8B2',
  lineStrong: '#8C7D68',
  ink: '#2A2420',
  inkSoft: '#62574D',
  band: '#2A2420',
  bandLine: '#3B332E',
  bandInk: '#F4EEE2',
  bandSoft: '#CBBFAE',
  madder: '#A23B2A',
  madderWash: '#F5E0DA',
  weld: '#8A5C07',
  weldFill: '#B97F14',
  weldWash: '#F6E8C8',
  moss: '#3D5F39',
  mossFill: '#44683F',
  mossWash: '#DFE9D8',
  indigo: '#27476B',
  indigoWash: '#DFE6EF',
  onIndigo: '#FFFCF6',
  plum: '#6B4263',
  plumWash: '#EBDDE8',
};

const barn: typeof light = {
  ground: '#1D1916',
  panel: '#2A2420',
  rail: '#241F1B',
  stretch: '#4F453C',
  line: '#4A4038',
  lineStrong: '#9A8B78',
  ink: '#F4EEE2',
  inkSoft: '#C4B8A6',
  band: '#14110F',
  bandLine: '#332C27',
  bandInk: '#F4EEE2',
  bandSoft: '#CBBFAE',
  madder: '#F0937F',
  madderWash: '#4A2720',
  weld: '#EBBE62',
  weldFill: '#C9902A',
  weldWash: '#453616',
  moss: '#A5CB9B',
  mossFill: '#5F8A58',
  mossWash: '#2B3D28',
  indigo: '#9DBDE2',
  indigoWash: '#2B3B50',
  onIndigo: '#14110F',
  plum: '#D5A9CC',
  plumWash: '#43303F',
};

const asVariables = (colours: typeof light): string =>
  Object.entries(colours)
    .map(([name, value]) => `--${name}: ${value};`)
    .join('');

export const LIGHT_VARIABLES = asVariables(light);
export const BARN_VARIABLES = asVariables(barn);

/** A colour of the theme by its meaning. */
export const colour = (name: keyof typeof light): string => `var(--${name})`;

/** Spacing in steps of four pixels. */
export const space = (steps: number): string => `${steps * 4}px`;

export const radius = '8px';
export const touch = '44px';
export const touchRace = '64px';
/** What a hand needs where a thing stands: a frame for gloved hands asks for more of all in it. */
export const touchHere = `var(--touch, ${touch})`;
export const gloved = `--touch: ${touchRace};`;
/** Makes what is small to see big enough to touch, without moving anything: the area around it answers too. */
export const touchable = `
  position: relative;
  &::after {
    content: '';
    position: absolute;
    inset: min(0px, calc((100% - ${touchHere}) / 2));
  }
`;

export const fonts = {
  heading: say("'Bricolage Grotesque Variable', sans-serif"),
  text: say("'Atkinson Hyperlegible Next Variable', sans-serif"),
  mono: say("'Atkinson Hyperlegible Mono Variable', monospace"),
};

/** The plastic of real tags; dark ink stays readable on each. */
export const TAG_FILLS: Readonly<Record<string, string>> = {
  yellow: '#F2C744',
  blue: '#9BC0E2',
  orange: '#F0A35B',
  green: '#9CC48D',
  pink: '#EFA6B8',
  white: '#FFFFFF',
  red: '#E58A7B',
};

export const phone = '@media (max-width: 640px)';
export const narrow = '@media (max-width: 1100px)';
/** Too low for all places of the rail with the words between them. */
export const lowWindow = '@media (max-height: 829px)';
