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
    name: 'At the race',
    see: 'Start a job for any set, type a number, a weight, Enter. Five seconds an animal.',
  },
  {
    to: '/condition',
    name: 'Condition',
    see: 'A ewe stays thin whatever she is fed; the flock parted into thin, fit and fat.',
  },
  {
    to: '/mating/pairing?species=goat',
    name: 'Mating: pairing',
    see: 'A buck too close to some of the does, and two carriers that never meet.',
  },
  {
    to: '/carrying',
    name: 'Carrying',
    see: 'Who is in young and how sure that is; when each can be tested.',
  },
  {
    to: '/rearing/litters?species=rabbit',
    name: 'Rearing: litters',
    see: 'A doe whose litters shrink, and a dearer feed against a cheaper one.',
  },
  {
    to: '/choosing',
    name: 'Choosing',
    see: 'Young stock by eye, by the numbers, by kinship, to a choice with its reasons.',
  },
  {
    to: '/selling',
    name: 'Selling',
    see: 'Who is ready for which buyer, when to wait, and one that may not go yet.',
  },
  {
    to: '/tags',
    name: 'Tags',
    see: 'Lost tags, and the numbers that come next.',
  },
];
