import type { AnimalView, TagView } from '@yaylak/contract';
import { fullDate, shortDate } from './dates';
import { moneyText } from './format';
import { say } from '@yaylak/contract';

/** `reserved for Demir to 12 Dec`. */
export const reservedText = ({ buyer, until }: NonNullable<TagView['reserved']>): string =>
  say('reserved for {buyer}{value}', {
    buyer,
    value: until === undefined ? '' : ` ${say('to {date}', { date: shortDate(until) })}`,
  });

/** `Reserved for Demir to the end of 12 Dec 2026, for 240.00 EUR, 50.00 EUR of it paid.` */
export function reservationWords(
  { buyer, until, priceMinor, depositMinor }: NonNullable<AnimalView['reservation']>,
  currency: string,
): string {
  const parts = [
    say('Reserved for {buyer}{value}', {
      buyer,
      value: until === null ? '' : ` ${say('to the end of {date}', { date: fullDate(until) })}`,
    }),
    ...(priceMinor === null ? [] : [say('for {money}', { money: moneyText(priceMinor, currency) })]),
    ...(depositMinor === null || depositMinor === 0
      ? []
      : [
          say('{money} {value}paid', {
            money: moneyText(depositMinor, currency),
            value: priceMinor === null ? '' : `${say('of it')} `,
          }),
        ]),
  ];
  return `${parts.join(', ')}.`;
}
