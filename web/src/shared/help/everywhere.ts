import { keysOf, PLACES } from '../nav/placeList';
import type { Keys } from './topic';

/** Keys that do the same in every place. */
export const EVERYWHERE: Keys = [
  [
    '0-9 or /',
    'Find an animal by any part of its number or name, by colour or kind; a tube, note, mark, group or place',
  ],
  ['Ctrl+Z', 'Take back the last thing done'],
  ['Shift+Enter', 'In the finder: opens the record of a female’s litters, to be printed as her card'],
  ['Arrow keys', 'Along the year band; up and down a list'],
  ['Enter', 'Open what is chosen'],
  ['? or F1', 'The keys of this place, and help with it; F1 also while a field has the keyboard'],
  ...PLACES.map((place) => [keysOf(place), `Go to ${place.name}`] as const),
];
