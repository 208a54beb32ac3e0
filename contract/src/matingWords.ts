import { isoOf, type FemaleReason, type MaleReason, type WeightUnit } from '@yaylak/core';
import { dayText } from './dayText';
import { chanceText, percentText } from './shares';
import { weightText } from './weights';

/** Who served her beside the males of the holding: a straw, or a male that is not in the book. */
export const otherSireText = ({
  straw,
  otherMale,
}: {
  readonly straw?: string | undefined;
  readonly otherMale?: string | undefined;
}): string | undefined => (straw === undefined ? otherMale : `straw ${straw}`);

/** Why a female is not mated, or not yet. */
export function femaleReasonText(reason: FemaleReason, unit: WeightUnit): string {
  switch (reason.code) {
    case 'too-young':
      return 'too young';
    case 'too-light':
      return `${weightText(reason.kg, unit)}, needs to reach ${weightText(reason.neededKg, unit)} first`;
    case 'heats-to-skip':
      return reason.of === 1 ? 'let her first heat go by' : `let ${reason.of} heats go by, ${reason.goneBy} gone`;
    case 'resting':
      return `resting since giving birth on ${dayText(isoOf(reason.bornOn))}`;
    case 'womb':
      return 'womb infection: check again, then wait for the next heat';
    case 'thin':
      return `too thin at ${reason.score}, needs ${reason.least}`;
    case 'carrying':
      return `served, likely in young (${chanceText(reason.probability)})`;
    case 'unanswered':
      return `due ${dayText(isoOf(reason.dueOn))}, and nobody said what came of her`;
  }
}

/** Why a male is not used, or only with a doubt. */
export function maleReasonText(reason: MaleReason, unit: WeightUnit): string {
  switch (reason.code) {
    case 'too-young':
      return 'too young';
    case 'too-light':
      return `${weightText(reason.kg, unit)}, needs to reach ${weightText(reason.neededKg, unit)} first`;
    case 'failed-check':
      return `not fit at the check: ${reason.parts.join(', ')}`;
    case 'not-checked':
      return reason.lastOn === undefined ? 'never checked' : `last checked ${dayText(isoOf(reason.lastOn))}`;
    case 'old':
      return 'getting old: line up a replacement';
    case 'low-share':
      return `only ${percentText(reason.share.share)} of ${reason.share.of} took`;
    case 'resting':
      return `rests until ${dayText(isoOf(reason.until))}, many services this week`;
  }
}
