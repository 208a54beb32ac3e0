import type { Species } from '../species';

/** What a sign of heat says: she stands, she is near it, it is over, or she is not on heat. */
export type SignSays = 'stands' | 'near' | 'over' | 'not';

interface SignFacts {
  readonly says: SignSays;
  readonly species: readonly Species[];
  /** Letter that ticks it. */
  readonly key: string;
  readonly words: string;
}

const RUMINANTS = ['sheep', 'goat', 'cattle'] as const;

/** Signs looked for, most telling first. Which of them a species has is told by `signsOf`. */
export const HEAT_SIGNS = {
  stands: { says: 'stands', species: RUMINANTS, key: 's', words: 'stands when mounted' },
  'with-male': { says: 'stands', species: ['sheep', 'goat'], key: 'm', words: 'stands for the male at the fence' },
  lifts: { says: 'stands', species: ['rabbit'], key: 'l', words: 'lifts for the buck' },
  'paint-rubbed': { says: 'near', species: ['cattle'], key: 'p', words: 'tail paint rubbed off' },
  'patch-worn': { says: 'near', species: ['cattle'], key: 'h', words: 'heat patch worn' },
  mounts: { says: 'near', species: ['cattle', 'goat'], key: 'o', words: 'mounts others' },
  'tail-wags': { says: 'near', species: ['goat', 'sheep'], key: 't', words: 'wags the tail' },
  seeks: { says: 'near', species: ['sheep', 'goat'], key: 'k', words: 'seeks the male' },
  calls: { says: 'near', species: ['goat', 'cattle'], key: 'c', words: 'calls, restless' },
  swollen: { says: 'near', species: ['goat', 'cattle'], key: 'v', words: 'vulva swollen and red' },
  'clear-slime': { says: 'near', species: ['goat', 'cattle'], key: 'i', words: 'clear slime' },
  'milk-down': { says: 'near', species: ['goat', 'cattle'], key: 'd', words: 'milk down, off her feed' },
  red: { says: 'near', species: ['rabbit'], key: 'r', words: 'vulva red' },
  violet: { says: 'over', species: ['rabbit'], key: 'v', words: 'vulva violet' },
  pale: { says: 'not', species: ['rabbit'], key: 'p', words: 'vulva pale' },
  refuses: { says: 'not', species: ['rabbit', 'goat', 'sheep'], key: 'f', words: 'refuses the male' },
  'cloudy-slime': { says: 'over', species: ['goat', 'cattle'], key: 'y', words: 'cloudy slime' },
  blood: { says: 'over', species: ['cattle'], key: 'b', words: 'blood at the vulva' },
} as const satisfies Readonly<Record<string, SignFacts>>;

export type HeatSign = keyof typeof HEAT_SIGNS;
export const HEAT_SIGN_NAMES = Object.keys(HEAT_SIGNS) as HeatSign[];

/** The signs of a species, most telling first; no two share a key. */
export const signsOf = (species: Species): HeatSign[] =>
  HEAT_SIGN_NAMES.filter((s) => (HEAT_SIGNS[s].species as readonly Species[]).includes(species));

export const signSays = (sign: HeatSign): SignSays => HEAT_SIGNS[sign].says;
