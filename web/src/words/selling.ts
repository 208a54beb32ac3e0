import { chanceText } from '@yaylak/contract';
import {
  FAT_PLACES,
  fatName,
  feltFat,
  shapeName,
  stepAt,
  type BoxFactor,
  type BoxToday,
  type FatPlace,
} from '@yaylak/core';

/** Where fat is felt. */
export const FAT_PLACE_WORDS: Readonly<Record<FatPlace, string>> = {
  tail: 'tail-head',
  loin: 'loin',
  ribs: 'ribs',
  brisket: 'brisket',
};

/** How finished one was found, in a line: `Shape R+, fat 3 (tail-head 3, ribs 3-)`. */
export function finishText({
  shape,
  fat = {},
}: {
  readonly shape?: number | undefined;
  readonly fat?: Readonly<Partial<Record<FatPlace, number>>> | undefined;
}): string {
  const felt = feltFat(fat);
  const places = FAT_PLACES.flatMap((p) => (fat[p] === undefined ? [] : [`${FAT_PLACE_WORDS[p]} ${fatName(fat[p])}`]));
  const parts = [
    ...(shape === undefined ? [] : [`shape ${shapeName(shape)}`]),
    ...(felt === undefined ? [] : [`fat ${fatName(stepAt(felt))} (${places.join(', ')})`]),
  ].join(', ');
  return `${parts.charAt(0).toUpperCase()}${parts.slice(1)}`;
}

/** What keeps one out of a box, by what fails and to which side. */
export const MISS_WORDS: Readonly<Record<BoxFactor, Readonly<Record<'under' | 'over', string>>>> = {
  weight: { under: 'too light', over: 'too heavy' },
  shape: { under: 'too plain', over: 'better shaped than wanted' },
  fat: { under: 'too lean', over: 'too fat' },
};

/** Whether an animal at hand is ready for an outlet, and why not. */
export function boxTodayText(box: BoxToday | undefined): string {
  if (!box) return 'not known: feel it, or it is not of the age they take';
  if (box.isReady)
    return box.isNarrow
      ? `ready by what is expected (they want it narrower than an eye is sure: ${chanceText(box.isNarrow.bestChance)} at best)`
      : `ready, ${chanceText(box.chance)}`;
  return `not ready: ${MISS_WORDS[box.worst.factor][box.worst.side]} (${chanceText(box.chance)})`;
}
