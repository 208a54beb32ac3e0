import type { LoadCheck } from '@yaylak/core';
import { dayText } from './dayText';

/** What speaks against taking one on a load, and what to do. */
export function loadCheckText(check: LoadCheck): string {
  switch (check.code) {
    case 'gone':
      return `It left on ${dayText(check.on)}.`;
    case 'meat-withheld':
      return `Meat is withheld to the end of ${dayText(check.until)}: for slaughter from ${dayText(check.clearOn)}.`;
    case 'buyer-to-tell':
      return `Withheld to the end of ${dayText(check.until)}: sell it from its own page, where the buyer is told.`;
    case 'reserved':
      return `Reserved for ${check.buyer}. Let that go first.`;
    case 'too-young':
      return `Too young to leave for ${check.inDays} more ${check.inDays === 1 ? 'day' : 'days'}.`;
    case 'near-birth':
      return `Likely in the last tenth of carrying since ${dayText(check.from)}: not fit to travel; vet and local rules decide.`;
    case 'lame':
      return `Feet or legs failed on ${dayText(check.on)}: look whether it goes sound.`;
  }
}
