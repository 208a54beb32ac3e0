/** How a birth went, the easiest first. */
export const EASES = ['alone', 'eased', 'pulled-hard', 'vet'] as const;
export type Ease = (typeof EASES)[number];

/** How the young that gave trouble lay. */
export const PRESENTATIONS = ['forward', 'leg-back', 'head-back', 'backward', 'rump-first', 'tangled'] as const;
export type Presentation = (typeof PRESENTATIONS)[number];

export const MOTHERINGS = ['good', 'slow', 'refuses'] as const;
export type Mothering = (typeof MOTHERINGS)[number];

/** `waiting`: not passed yet, and not long enough to call it retained. */
export const AFTERBIRTHS = ['passed', 'waiting', 'retained'] as const;
export type Afterbirth = (typeof AFTERBIRTHS)[number];

export const COLOSTRUM_WAYS = ['sucked', 'bottle', 'tube'] as const;
export type ColostrumWay = (typeof COLOSTRUM_WAYS)[number];

/** What a young or grown animal died of, as far as a shepherd can tell. */
export const DEATH_CAUSES = [
  'weak',
  'hard-birth',
  'cold',
  'hunger',
  'lain-on',
  'scour',
  'lungs',
  'bloat',
  'hunted',
  'accident',
  'unknown',
] as const;
export type DeathCause = (typeof DEATH_CAUSES)[number];

/** Where a dam goes with her young after the birth. */
export const PEN_STAGES = ['bonding', 'mixing', 'group'] as const;
export type PenStage = (typeof PEN_STAGES)[number];
