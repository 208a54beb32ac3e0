import type { AnimalView, TagView } from '@yaylak/contract';
import { fullDate, moneyText, shortDate } from './format';

/** `reserved for Demir to 12 Dec`. */
export const reservedText = ({ buyer, until }: NonNullable<TagView['reserved']>): string =>
  `reserved for ${buyer}${until === undefined ? '' : ` to ${shortDate(until)}`}`;

/** `Reserved for Demir to the end of 12 Dec 2026, for 240.00 EUR, 50.00 EUR of it paid.` */
export function reservationWords(
  { buyer, until, priceMinor, depositMinor }: NonNullable<AnimalView['reservation']>,
  currency: string,
): string {
  const parts = [
    `Reserved for ${buyer}${until === null ? '' : ` to the end of ${fullDate(until)}`}`,
    ...(priceMinor === null ? [] : [`for ${moneyText(priceMinor, currency)}`]),
    ...(depositMinor === null || depositMinor === 0
      ? []
      : [`${moneyText(depositMinor, currency)} ${priceMinor === null ? '' : 'of it '}paid`]),
  ];
  return `${parts.join(', ')}.`;
}
