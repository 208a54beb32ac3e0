import { FAT_CLASSES, SHAPE_CLASSES, type FatPlace } from '@yaylak/core';

type FatClass = (typeof FAT_CLASSES)[number];
type ShapeClass = (typeof SHAPE_CLASSES)[number];

/** Where the hand goes at each place. */
export const HAND_AT: Readonly<Record<FatPlace, string>> = {
  tail: 'Fingers on both sides of the root of the tail.',
  loin: 'Hand across the back behind the last rib: the tips of the spine under the palm, the ends of the short ribs under the fingers.',
  ribs: 'Flat of the fingers over the last ribs, a hand’s breadth below the back; stroke along and across.',
  brisket: 'From the side, between the forelegs: take the pad between thumb and fingers.',
};

/** What each class of fat feels like at each place. */
export const FAT_FEELS: Readonly<Record<FatPlace, Readonly<Record<FatClass, string>>>> = {
  tail: {
    1: 'bones sharp, skin straight on them',
    2: 'bones plain, a thin cover',
    3: 'bones with light pressure, the cover soft',
    4: 'bones only with firm pressure',
    5: 'no bone; fat in folds beside the tail',
  },
  loin: {
    1: 'tips prickle, fingers go between',
    2: 'each tip felt, but rounded',
    3: 'tips with light pressure, small bumps',
    4: 'tips only with firm pressure',
    5: 'no tips; a groove along the back',
  },
  ribs: {
    1: 'each rib stands by itself',
    2: 'ribs told apart at once',
    3: 'ribs told apart with light pressure',
    4: 'ribs only with firm pressure, spongy',
    5: 'no rib; fat moves under the hand',
  },
  brisket: {
    1: 'bone and skin',
    2: 'a thin soft layer',
    3: 'a small pad, bone beneath',
    4: 'a thick pad, bone only just',
    5: 'a heavy pad that fills the hand',
  },
};

/** What each class of shape looks like from behind. */
export const SHAPE_LOOKS: Readonly<Record<ShapeClass, string>> = {
  P: 'thighs hollow, the back a ridge',
  O: 'flat to a little hollow',
  R: 'straight and filled, not round',
  U: 'rounded, the loin broad',
  E: 'bulging, the loin very broad',
};
