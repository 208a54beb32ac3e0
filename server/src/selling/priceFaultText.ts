import { dayText } from '@yaylak/contract';
import type { PriceFault } from '@yaylak/core';

/** What is wrong with a price list, with value and remedy. */
export function priceFaultText({ fault, from }: PriceFault): string {
  const of = `Prices from ${dayText(from)}`;
  switch (fault.kind) {
    case 'price-not-positive':
      return `${of}: a price of ${fault.value / 100} pays nothing. Type what the outlet pays.`;
    case 'no-grid':
      return `${of}: this outlet pays by class and has no grid. Fill one in, or choose another way to pay.`;
    case 'grid-rows':
      return `${of}: the grid has ${fault.found} rows and needs ${fault.wanted}. Paste the whole field.`;
    case 'grid-hole':
      return `${of}: ${fault.shape}${fault.fat} has no figure. A carcass of that class would have no price.`;
    case 'band-upside-down':
      return `${of}: the band from ${fault.fromKg} to ${fault.toKg} kg is empty. Its end has to lie over its start.`;
    case 'bands-overlap':
      return `${of}: two bands cover ${fault.atKg} kg. Let one end where the next begins.`;
    case 'same-day':
      return `${of}: there are two lists of that day. Keep one.`;
  }
}
