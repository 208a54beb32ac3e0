import {
  SPECIES_WORDS,
  type Afterbirth,
  type BirthQuestion,
  type ColostrumWay,
  type DeathCause,
  type Ease,
  type Mothering,
  type PenStage,
  type Presentation,
} from '@yaylak/core';
import { dayText } from './dayText';

export const EASE_WORDS: Readonly<Record<Ease, string>> = {
  alone: 'unassisted',
  eased: 'some help',
  'pulled-hard': 'hard pull',
  vet: 'vet',
};

export const PRESENTATION_WORDS: Readonly<Record<Presentation, string>> = {
  forward: 'head and forelegs',
  'leg-back': 'a leg back',
  'head-back': 'head turned back',
  backward: 'hind legs first',
  'rump-first': 'rump first',
  tangled: 'two coming together',
};

export const MOTHERING_WORDS: Readonly<Record<Mothering, string>> = {
  good: 'good mother',
  slow: 'slow to take them',
  refuses: 'refuses them',
};

export const AFTERBIRTH_WORDS: Readonly<Record<Afterbirth, string>> = {
  passed: 'passed',
  waiting: 'not yet',
  retained: 'held back',
};

export const COLOSTRUM_WORDS: Readonly<Record<ColostrumWay, string>> = {
  sucked: 'sucked',
  bottle: 'from the bottle',
  tube: 'by stomach tube',
};

export const CAUSE_WORDS: Readonly<Record<DeathCause, string>> = {
  weak: 'born weak',
  'hard-birth': 'hard birth',
  cold: 'cold',
  hunger: 'starvation, no milk',
  'lain-on': 'lain on',
  scour: 'scour',
  lungs: 'pneumonia',
  bloat: 'bloat',
  hunted: 'killed by dog or predator',
  accident: 'accident',
  unknown: 'unknown',
};

export const PEN_STAGE_WORDS: Readonly<Record<PenStage, string>> = {
  bonding: 'bonding pen',
  mixing: 'mixing pen',
  group: 'group',
};

/** What is asked of a birth before it is believed, a sentence and what a yes would mean. */
export function birthQuestionText(question: BirthQuestion): string {
  switch (question.code) {
    case 'born-dead':
      return `${question.dead} born dead: what was it?`;
    case 'too-early':
      return `Day ${question.days} after the service of ${dayText(question.servedOn)}; from day ${question.shortest} on is usual. Is it she, and was she served before?`;
    case 'too-late':
      return `Day ${question.days} after the service of ${dayText(question.servedOn)}; up to day ${question.longest} is usual. Was she served again?`;
    case 'more-than-scanned':
      return `${question.born} born, and ${question.scanned} counted on ${dayText(question.on)}. Are they all hers?`;
    case 'tested-empty':
      return `She tested empty on ${dayText(question.on)}. Is it she, or was the test wrong?`;
    case 'never-mated':
      return `No service is on record, and no male was with her from ${dayText(question.from)} to ${dayText(question.to)}. Is it she?`;
    case 'dam-too-young':
      return `She was ${question.ageDays} days old, and gives birth from ${question.youngestDays} days on at the earliest. Is it she, and is her birth date right?`;
    case 'two-births':
      return `She gave birth on ${dayText(question.on)} as well, ${question.days} days apart. Is it she?`;
    case 'other-species':
      return `This is the list of ${SPECIES_WORDS[question.told].plural}, and she is one of the ${SPECIES_WORDS[question.species].plural}. Is it she?`;
  }
}
