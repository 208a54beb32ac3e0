import { keysOf, PLACES } from '../nav/placeList';
import type { Keys } from './topic';
import { say } from '@yaylak/contract';

/** Keys that do the same in every place. */
export const EVERYWHERE: Keys = [
  [
    '0-9 or /',
    say('Find an animal by any part of its number or name, by colour or kind; a tube, note, mark, group or place'),
  ],
  [say('Ctrl+Z'), say('Take back the last thing done')],
  [say('Shift+Enter'), say('In the finder: opens the record of a female’s litters, to be printed as her card')],
  [say('Arrow keys'), say('Along the year band; up and down a list')],
  [say('Enter'), say('Open what is chosen')],
  [say('? or F1'), say('The keys of this place, and help with it; F1 also while a field has the keyboard')],
  ...PLACES.map((place) => [keysOf(place), say('Go to {place}', { place: place.name })] as const),
];
