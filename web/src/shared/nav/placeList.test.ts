import { keysOf, placeAt, placeOfKeys, PLACES } from './placeList';

const pressed = (code: string, shiftKey = false) => ({ altKey: true, shiftKey, code });

it('has keys of its own for every place, and each leads there', () => {
  const keys = PLACES.map(keysOf);
  expect(new Set(keys).size).toBe(PLACES.length);
  expect([keys[0], keys[9], keys[10], keys.at(-1)]).toEqual(['Alt+1', 'Alt+0', 'Alt+Shift+1', 'Alt+Shift+4']);
  PLACES.forEach((place) => {
    const [digit, ...held] = keysOf(place).split('+').reverse();
    expect(placeOfKeys(pressed(`Digit${digit}`, held.includes('Shift')))).toBe(place);
  });
});

it('goes nowhere without Alt, by a letter, or by a digit no place has', () => {
  expect(placeOfKeys({ altKey: false, shiftKey: false, code: 'Digit3' })).toBeUndefined();
  expect(placeOfKeys(pressed('KeyA'))).toBeUndefined();
  expect(placeOfKeys(pressed('Digit9', true))).toBeUndefined();
});

it.each([
  ['/', 'Today'],
  ['/mating/pairing', 'Mating'],
  ['/animals/7', 'Animals'],
  ['/race/7/pens', 'At the race'],
])('knows the place of %s', (at, name) => expect(placeAt(at)?.name).toBe(name));

it('knows none of an address no place has', () => expect(placeAt('/kept')).toBeUndefined());
