import type { AnimalView, WithheldOfAnimal } from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import { fullDate } from './dates';
import { say } from '@yaylak/contract';

/** The last day of what is withheld longest. */
export const lastWithheld = (withheld: readonly Pick<WithheldOfAnimal, 'until'>[]): string | undefined =>
  withheld
    .map((w) => w.until)
    .toSorted()
    .at(-1);

/** `Meat withheld to the end of 4 Dec 2026 (White drench).`, for slaughter with the first day it may go. */
export function withheldToText({ of, until, clearFrom, product }: WithheldOfAnimal, isForSlaughter: boolean): string {
  const what = say('{value} withheld to the end of {date} ({product}).', {
    value: of === 'meat' ? say('Meat') : say('Milk'),
    date: fullDate(until),
    product,
  });
  return isForSlaughter
    ? say('{what} It can go for slaughter from {date}.', { what, date: fullDate(clearFrom) })
    : what;
}

/** `Meat withheld to the end of 4 Dec 2026 (White drench).` */
export const heldText = ({ until, product }: { readonly until: string; readonly product: string }): string =>
  say('Meat withheld to the end of {date} ({product}).', { date: fullDate(until), product });

/** Days of a withdrawal that are left after a day, its last one counted. */
export const daysLeft = (until: string, on: string): number => Math.max(0, dayOf(until) - dayOf(on));
export const daysLeftText = (until: string, on: string): string =>
  say('{daysLeft} {daysLeft, plural, one {more day} other {more days}}', { daysLeft: daysLeft(until, on) });

export const buyerToldLabel = (until: string, on: string): string =>
  say('The buyer has been told: withheld to the end of {date}, {daysLeft}', {
    date: fullDate(until),
    daysLeft: daysLeftText(until, on),
  });

/** What is to be said of one that left while something was withheld: a treatment may have been recorded since. */
export function leftWithheldWords({
  departed,
  withheld,
}: Pick<AnimalView, 'departed' | 'withheld'>): string | undefined {
  if (!departed) return undefined;
  const meat = withheld.find((w) => w.of === 'meat');
  if (departed.how === 'slaughtered' && meat)
    return say('Meat was withheld to the end of {date} ({product}). Tell whoever took the meat.', {
      date: fullDate(meat.until),
      product: meat.product,
    });
  const until = lastWithheld(withheld);
  if (departed.how !== 'sold' || until === undefined) return undefined;
  return departed.toldUntil !== null && departed.toldUntil >= until
    ? say('The buyer was told: withheld to the end of {date}.', { date: fullDate(until) })
    : say('The buyer has not been told: withheld to the end of {date}.', { date: fullDate(until) });
}
