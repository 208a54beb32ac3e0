import { say } from '@yaylak/contract';

/** A place of the application, as the rail, the keys, the finder and the help name it. */
export interface Place {
  readonly to: string;
  readonly name: string;
  /** What begins a stretch of the rail here. */
  readonly under?: string;
}

/** The places in the order of the year. */
export const PLACES: readonly Place[] = [
  { to: '/', name: say('Today') },
  { to: '/race', name: say('At the race') },
  { to: '/year', name: say('Year plan'), under: say('The year') },
  { to: '/condition', name: say('Condition') },
  { to: '/mating', name: say('Mating') },
  { to: '/carrying', name: say('Carrying') },
  { to: '/births', name: say('Births') },
  { to: '/rearing', name: say('Rearing') },
  { to: '/choosing', name: say('Choosing'), under: say('Judging') },
  { to: '/selling', name: say('Selling') },
  { to: '/animals', name: say('Animals'), under: say('Always') },
  { to: '/remedies', name: say('Remedies') },
  { to: '/tags', name: say('Tags') },
  { to: '/holding', name: say('Holding') },
];

/** Places a row of digits on the keyboard has keys for: 1 to 9, and 0 for the tenth. */
const DIGITS = 10;

/** The keys that go to a place: Alt with its digit, from the eleventh on with Shift as well. */
export function keysOf(place: Place): string {
  const index = PLACES.indexOf(place);
  return `${index < DIGITS ? say('Alt') : say('Alt+Shift')}+${(index + 1) % DIGITS}`;
}

/** The place that pressed keys go to; the key is meant, not what it would write with Alt and Shift. */
export function placeOfKeys(event: Pick<KeyboardEvent, 'altKey' | 'shiftKey' | 'code'>): Place | undefined {
  const digit = /^Digit(\d)$/.exec(event.code)?.[1];
  if (!event.altKey || digit === undefined) return undefined;
  // As on the keyboard, 0 stands for the tenth.
  const index = ((Number(digit) + DIGITS - 1) % DIGITS) + (event.shiftKey ? DIGITS : 0);
  return PLACES[index];
}

/** The place an address belongs to. */
export const placeAt = (pathname: string): Place | undefined =>
  PLACES.filter(({ to }) => pathname === to || (to !== '/' && pathname.startsWith(`${to}/`))).at(-1);
