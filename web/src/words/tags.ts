import type { MarkInField } from '@yaylak/contract';
import type { NumberDoubt, TagColour } from '@yaylak/core';
import { say } from '@yaylak/contract';

interface Said {
  /** The number to be fitted, and its colour. */
  readonly text: string;
  readonly colour?: TagColour | undefined;
  /** How the other animal is called. */
  readonly name: string;
}

/** What is asked before a number is fitted that another wears in another colour, or wore. */
export function tagDoubtText(doubt: NumberDoubt, { text, colour, name }: Said): string {
  switch (doubt.kind) {
    case 'other-colour':
      return doubt.colour === null
        ? say(
            '{text} is already on another that is here, in a colour that is not recorded. Can the two be told apart?',
            { text },
          )
        : say('{colour} {text} is already on another that is here{value}. Can the two be told apart?', {
            colour: say(doubt.colour),
            text,
            value:
              colour === undefined
                ? say(', and this tag has no colour yet')
                : say('; this one would be {colour}', { colour }),
          });
    case 'lost-by':
      return say('{text} is the number {value} lost. Read the tag again: it may be the very one that was found.', {
        text,
        value: name === text ? say('another') : name,
      });
    case 'worn-by-gone':
      return say('{text} was worn by one that is gone. Records of the two are easily mixed up.', { text });
  }
}

/** A spray mark in the field: `red on the rump: second string`. */
export const markText = ({ colour, place, purpose }: Pick<MarkInField, 'colour' | 'place' | 'purpose'>): string =>
  say('{colour} on the {place}{value}', { colour, place, value: purpose === '' ? '' : `: ${purpose}` });

/** How many wear a mark. */
export const wearingMark = ({ groups }: Pick<MarkInField, 'groups'>): number =>
  groups.reduce((sum, { count }) => sum + count, 0);

/** A mark as the address of the list of those who wear it names it. */
export const markKey = ({ colour, place, purpose }: Pick<MarkInField, 'colour' | 'place' | 'purpose'>): string =>
  `${colour}|${place}|${purpose}`;
