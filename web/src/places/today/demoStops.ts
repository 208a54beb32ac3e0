import { say } from '@yaylak/contract';

/** Somewhere the demo holding has something to show. */
export interface DemoStop {
  readonly to: string;
  readonly name: string;
  readonly see: string;
}

/** Where a newcomer looks first, in the order of the work. */
export const DEMO_STOPS: readonly DemoStop[] = [
  {
    to: '/race',
    name: say('At the race'),
    see: say('Start a job for any set, type a number, a weight, Enter. Five seconds an animal.'),
  },
  {
    to: '/condition',
    name: say('Condition'),
    see: say('A ewe stays thin whatever she is fed; the flock parted into thin, fit and fat.'),
  },
  {
    to: '/mating/pairing?species=goat',
    name: say('Mating: pairing'),
    see: say('A buck too close to some of the does, and two carriers that never meet.'),
  },
  {
    to: '/carrying',
    name: say('Carrying'),
    see: say('Who is in young and how sure that is; when each can be tested.'),
  },
  {
    to: '/rearing/litters?species=rabbit',
    name: say('Rearing: litters'),
    see: say('A doe whose litters shrink, and a dearer feed against a cheaper one.'),
  },
  {
    to: '/choosing',
    name: say('Choosing'),
    see: say('Young stock by eye, by the numbers, by kinship, to a choice with its reasons.'),
  },
  {
    to: '/selling',
    name: say('Selling'),
    see: say('Who is ready for which buyer, when to wait, and one that may not go yet.'),
  },
  {
    to: '/tags',
    name: say('Tags'),
    see: say('Lost tags, and the numbers that come next.'),
  },
];
