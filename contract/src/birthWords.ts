import type {
  Afterbirth,
  BirthQuestion,
  ColostrumWay,
  DeathCause,
  Ease,
  Mothering,
  PenStage,
  Presentation,
} from '@yaylak/core';
import { dayText } from './dayText';
import { say } from './say/say';
import { told } from './say/told';
import { SPECIES_WORDS } from './speciesWords';

export const EASE_WORDS: Readonly<Record<Ease, string>> = told({
  alone: 'unassisted',
  eased: 'some help',
  'pulled-hard': 'hard pull',
  vet: 'vet',
});

export const PRESENTATION_WORDS: Readonly<Record<Presentation, string>> = told({
  forward: 'head and forelegs',
  'leg-back': 'a leg back',
  'head-back': 'head turned back',
  backward: 'hind legs first',
  'rump-first': 'rump first',
  tangled: 'two coming together',
});

export const MOTHERING_WORDS: Readonly<Record<Mothering, string>> = told({
  good: 'good mother',
  slow: 'slow to take them',
  refuses: 'refuses them',
});

export const AFTERBIRTH_WORDS: Readonly<Record<Afterbirth, string>> = told({
  passed: 'passed',
  waiting: 'not yet',
  retained: 'held back',
});

export const COLOSTRUM_WORDS: Readonly<Record<ColostrumWay, string>> = told({
  sucked: 'sucked',
  bottle: 'from the bottle',
  tube: 'by stomach tube',
});

export const CAUSE_WORDS: Readonly<Record<DeathCause, string>> = told({
  weak: 'born weak',
  'hard-birth': 'hard birth',
  cold: 'cold',
  hunger: 'starvation / no milk',
  'lain-on': 'lain on',
  scour: 'scour',
  lungs: 'pneumonia',
  bloat: 'bloat',
  hunted: 'killed by dog or predator',
  accident: 'accident',
  unknown: 'unknown',
});

export const PEN_STAGE_WORDS: Readonly<Record<PenStage, string>> = told({
  bonding: 'bonding pen',
  mixing: 'mixing pen',
  group: 'group',
});

/** What is asked of a birth before it is believed, a sentence and what a yes would mean. */
export function birthQuestionText(question: BirthQuestion): string {
  switch (question.code) {
    case 'born-dead':
      return say('{dead} born dead: what was it?', { dead: question.dead });
    case 'too-early':
      return say(
        'Day {days} after the service of {date}; from day {shortest} on is usual. Is it she, and was she served before?',
        { days: question.days, date: dayText(question.servedOn), shortest: question.shortest },
      );
    case 'too-late':
      return say('Day {days} after the service of {date}; up to day {longest} is usual. Was she served again?', {
        days: question.days,
        date: dayText(question.servedOn),
        longest: question.longest,
      });
    case 'more-than-scanned':
      return say('{born} born, and {scanned} counted on {date}. Are they all hers?', {
        born: question.born,
        scanned: question.scanned,
        date: dayText(question.on),
      });
    case 'tested-empty':
      return say('She tested empty on {date}. Is it she, or was the test wrong?', { date: dayText(question.on) });
    case 'never-mated':
      return say('No service is on record, and no male was with her from {date} to {date2}. Is it she?', {
        date: dayText(question.from),
        date2: dayText(question.to),
      });
    case 'dam-too-young':
      return say(
        'She was {ageDays} days old, and gives birth from {youngestDays} days on at the earliest. Is it she, and is her birth date right?',
        { ageDays: question.ageDays, youngestDays: question.youngestDays },
      );
    case 'two-births':
      return say('She gave birth on {date} as well, {days} days apart. Is it she?', {
        date: dayText(question.on),
        days: question.days,
      });
    case 'other-species':
      return say('This is the list of {plural}, and she is one of the {plural2}. Is it she?', {
        plural: SPECIES_WORDS[question.told].plural,
        plural2: SPECIES_WORDS[question.species].plural,
      });
  }
}
