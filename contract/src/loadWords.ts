import type { LoadCheck } from '@yaylak/core';

/** What speaks against taking one on a load, and what to do; days as they are kept where no others are given. */
export function loadCheckText(check: LoadCheck, day: (iso: string) => string = (iso) => iso): string {
  switch (check.code) {
    case 'gone':
      return `It left on ${day(check.on)}.`;
    case 'meat-withheld':
      return `Meat is withheld to the end of ${day(check.until)}: for slaughter from ${day(check.clearOn)}.`;
    case 'buyer-to-tell':
      return `Withheld to the end of ${day(check.until)}: sell it from its own page, where the buyer is told.`;
    case 'reserved':
      return `Reserved for ${check.buyer}. Let that go first.`;
    case 'too-young':
      return `Too young to leave for ${check.inDays} more ${check.inDays === 1 ? 'day' : 'days'}.`;
    case 'near-birth':
      return `Likely in the last tenth of carrying since ${day(check.from)}: not fit to travel; vet and local rules decide.`;
    case 'lame':
      return `Feet or legs failed on ${day(check.on)}: look whether it goes sound.`;
  }
}
