import { carcassText } from './selling';

const told = { unit: 'kg', species: 'sheep', currency: 'EUR' } as const;
const plain = (text: string): string => text.replace(/\s/g, ' ');

it('tells what came back of one that was killed, and leaves out what was not said', () => {
  expect(plain(carcassText({ carcassKg: 20.4, shape: 9, fat: 8, priceMinor: 11_260, deductedMinor: 240 }, told))).toBe(
    'Killed: carcass 20.4 kg, R+ 3, 112.60 EUR paid, 2.40 EUR taken off',
  );
  expect(plain(carcassText({ carcassKg: 20.4 }, told))).toBe('Killed: carcass 20.4 kg');
});
