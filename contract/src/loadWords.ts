import type { LoadCheck } from '@yaylak/core';
import { dayText } from './dayText';
import { say } from './say/say';

/** What speaks against taking one on a load, and what to do. */
export function loadCheckText(check: LoadCheck): string {
  switch (check.code) {
    case 'gone':
      return say('It left on {date}.', { date: dayText(check.on) });
    case 'meat-withheld':
      return say('Meat is withheld to the end of {date}: for slaughter from {date2}.', {
        date: dayText(check.until),
        date2: dayText(check.clearOn),
      });
    case 'buyer-to-tell':
      return say('Withheld to the end of {date}: sell it from its own page, where the buyer is told.', {
        date: dayText(check.until),
      });
    case 'reserved':
      return say('Reserved for {buyer}. Let that go first.', { buyer: check.buyer });
    case 'too-young':
      return say('Too young to leave for {inDays} more {inDays, plural, one {day} other {days}}.', {
        inDays: check.inDays,
      });
    case 'near-birth':
      return say('Likely in the last tenth of carrying since {date}: not fit to travel; vet and local rules decide.', {
        date: dayText(check.from),
      });
    case 'lame':
      return say('Feet or legs failed on {date}: look whether it goes sound.', { date: dayText(check.on) });
  }
}
