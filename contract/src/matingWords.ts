import { isoOf, type FemaleReason, type MaleReason, type WeightUnit } from '@yaylak/core';
import { dayText } from './dayText';
import { chanceText, percentText } from './shares';
import { weightText } from './weights';
import { say } from './say/say';

/** Who served her beside the males of the holding: a straw, or a male that is not in the book. */
export const otherSireText = ({
  straw,
  otherMale,
}: {
  readonly straw?: string | undefined;
  readonly otherMale?: string | undefined;
}): string | undefined => (straw === undefined ? otherMale : say('straw {straw}', { straw }));

/** Why a female is not mated, or not yet. */
export function femaleReasonText(reason: FemaleReason, unit: WeightUnit): string {
  switch (reason.code) {
    case 'too-young':
      return say('too young');
    case 'too-light':
      return say('{weight}, needs to reach {weight2} first', {
        weight: weightText(reason.kg, unit),
        weight2: weightText(reason.neededKg, unit),
      });
    case 'heats-to-skip':
      return reason.of === 1
        ? say('let her first heat go by')
        : say('let {of} heats go by, {goneBy} gone', { of: reason.of, goneBy: reason.goneBy });
    case 'resting':
      return say('resting since giving birth on {date}', { date: dayText(isoOf(reason.bornOn)) });
    case 'womb':
      return say('womb infection: check again, then wait for the next heat');
    case 'thin':
      return say('too thin at {score}, needs {least}', { score: reason.score, least: reason.least });
    case 'carrying':
      return say('served, likely in young ({chance})', { chance: chanceText(reason.probability) });
    case 'unanswered':
      return say('due {date}, and nobody said what came of her', { date: dayText(isoOf(reason.dueOn)) });
  }
}

/** Why a male is not used, or only with a doubt. */
export function maleReasonText(reason: MaleReason, unit: WeightUnit): string {
  switch (reason.code) {
    case 'too-young':
      return say('too young');
    case 'too-light':
      return say('{weight}, needs to reach {weight2} first', {
        weight: weightText(reason.kg, unit),
        weight2: weightText(reason.neededKg, unit),
      });
    case 'failed-check':
      return say('not fit at the check: {list}', { list: reason.parts.join(', ') });
    case 'not-checked':
      return reason.lastOn === undefined
        ? say('never checked')
        : say('last checked {date}', { date: dayText(isoOf(reason.lastOn)) });
    case 'old':
      return say('getting old: line up a replacement');
    case 'low-share':
      return say('only {percent} of {of} took', { percent: percentText(reason.share.share), of: reason.share.of });
    case 'resting':
      return say('rests until {date}, many services this week', { date: dayText(isoOf(reason.until)) });
  }
}
