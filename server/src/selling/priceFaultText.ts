import { dayText, say } from '@yaylak/contract';
import type { PriceFault } from '@yaylak/core';

/** What is wrong with a price list, with value and remedy. */
export function priceFaultText({ fault, from }: PriceFault): string {
  const of = say('Prices from {date}', { date: dayText(from) });
  switch (fault.kind) {
    case 'price-not-positive':
      return say('{of}: a price of {n} pays nothing. Type what the outlet pays.', { of, n: fault.value / 100 });
    case 'no-grid':
      return say('{of}: this outlet pays by class and has no grid. Fill one in, or choose another way to pay.', { of });
    case 'grid-rows':
      return say('{of}: the grid has {found} rows and needs {wanted}. Paste the whole field.', {
        of,
        found: fault.found,
        wanted: fault.wanted,
      });
    case 'grid-hole':
      return say('{of}: {shape}{fat} has no figure. A carcass of that class would have no price.', {
        of,
        shape: fault.shape,
        fat: fault.fat,
      });
    case 'band-upside-down':
      return say('{of}: the band from {fromKg} to {toKg} kg is empty. Its end has to lie over its start.', {
        of,
        fromKg: fault.fromKg,
        toKg: fault.toKg,
      });
    case 'bands-overlap':
      return say('{of}: two bands cover {atKg} kg. Let one end where the next begins.', { of, atKg: fault.atKg });
    case 'same-day':
      return say('{of}: there are two lists of that day. Keep one.', { of });
  }
}
