import { FAT_PLACES, fatName, feltFat, shapeName, stepAt, type FatPlace } from '@yaylak/core';

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
