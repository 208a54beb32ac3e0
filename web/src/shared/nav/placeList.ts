/** A place of the application, as the rail, the keys, the finder and the help name it. */
export interface Place {
  readonly to: string;
  readonly name: string;
  /** What begins a stretch of the rail here. */
  readonly under?: string;
}

/** The places in the order of the year. */
export const PLACES: readonly Place[] = [
  { to: '/', name: 'Today' },
  { to: '/race', name: 'At the race' },
  { to: '/year', name: 'Year plan', under: 'The year' },
  { to: '/condition', name: 'Condition' },
  { to: '/mating', name: 'Mating' },
  { to: '/carrying', name: 'Carrying' },
  { to: '/births', name: 'Births' },
  { to: '/rearing', name: 'Rearing' },
  { to: '/choosing', name: 'Choosing', under: 'Judging' },
  { to: '/selling', name: 'Selling' },
  { to: '/animals', name: 'Animals', under: 'Always' },
  { to: '/remedies', name: 'Remedies' },
  { to: '/tags', name: 'Tags' },
  { to: '/holding', name: 'Holding' },
];

/** Places a row of digits on the keyboard has keys for: 1 to 9, and 0 for the tenth. */
const DIGITS = 10;

/** The keys that go to a place: Alt with its digit, from the eleventh on with Shift as well. */
export function keysOf(place: Place): string {
  const index = PLACES.indexOf(place);
  return `${index < DIGITS ? 'Alt' : 'Alt+Shift'}+${(index + 1) % DIGITS}`;
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
