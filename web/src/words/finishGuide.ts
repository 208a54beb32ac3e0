import { FAT_CLASSES, SHAPE_CLASSES, type FatPlace } from '@yaylak/core';
import { say } from '@yaylak/contract';

type FatClass = (typeof FAT_CLASSES)[number];
type ShapeClass = (typeof SHAPE_CLASSES)[number];

/** Where the hand goes at each place. */
export const HAND_AT: Readonly<Record<FatPlace, string>> = {
  tail: say('Fingers on both sides of the root of the tail.'),
  loin: say(
    'Hand across the back behind the last rib: the tips of the spine under the palm, the ends of the short ribs under the fingers.',
  ),
  ribs: say('Flat of the fingers over the last ribs, a hand’s breadth below the back; stroke along and across.'),
  brisket: say('From the side, between the forelegs: take the pad between thumb and fingers.'),
};

/** What each class of fat feels like at each place. */
export const FAT_FEELS: Readonly<Record<FatPlace, Readonly<Record<FatClass, string>>>> = {
  tail: {
    1: say('bones sharp, skin straight on them'),
    2: say('bones plain, a thin cover'),
    3: say('bones with light pressure, the cover soft'),
    4: say('bones only with firm pressure'),
    5: say('no bone; fat in folds beside the tail'),
  },
  loin: {
    1: say('tips prickle, fingers go between'),
    2: say('each tip felt, but rounded'),
    3: say('tips with light pressure, small bumps'),
    4: say('tips only with firm pressure'),
    5: say('no tips; a groove along the back'),
  },
  ribs: {
    1: say('each rib stands by itself'),
    2: say('ribs told apart at once'),
    3: say('ribs told apart with light pressure'),
    4: say('ribs only with firm pressure, spongy'),
    5: say('no rib; fat moves under the hand'),
  },
  brisket: {
    1: say('bone and skin'),
    2: say('a thin soft layer'),
    3: say('a small pad, bone beneath'),
    4: say('a thick pad, bone only just'),
    5: say('a heavy pad that fills the hand'),
  },
};

/** What each class of shape looks like from behind. */
export const SHAPE_LOOKS: Readonly<Record<ShapeClass, string>> = {
  P: say('thighs hollow, the back a ridge'),
  O: say('flat to a little hollow'),
  R: say('straight and filled, not round'),
  U: say('rounded, the loin broad'),
  E: say('bulging, the loin very broad'),
};
