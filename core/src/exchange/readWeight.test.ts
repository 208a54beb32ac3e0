import type { ScaleUnit } from '../units';
import { readTypedWeight } from './readWeight';

const read = (text: string, scale: ScaleUnit): number | string => {
  const typed = readTypedWeight(text, scale);
  return typed.kind === 'number' ? typed.value : typed.reason;
};

it.each([
  ['8 lb 4 oz', 'lb', 8.25],
  ['8lb 4oz', 'lb', 8.25],
  ['8 lbs 4.5 oz', 'lb', 8.28125],
  ['8 LB 0 OZ', 'lb', 8],
  ['8 4', 'lb', 8.25],
  ['10 15', 'lb', 10.9375],
  ['8 lb', 'lb', 8],
  ['8.25', 'lb', 8.25],
  ['8,25', 'lb', 8.25],
  ['1 200', 'lb', 1200],
  ['1 lb 4 oz', 'oz', 20],
  ['1 4', 'oz', 20],
  ['2 lb', 'oz', 32],
  ['13.5', 'oz', 13.5],
  ['27.2', 'kg', 27.2],
  ['4 200', 'g', 4200],
] as const)('%s on a scale in %s is %s', (text, scale, value) => {
  expect(read(text, scale)).toBe(value);
});

it.each([
  ['8 lb 16 oz', 'lb', 'not-a-number'],
  ['8 16', 'lb', 'not-a-number'],
  ['8 lb 4 oz', 'kg', 'not-a-number'],
  ['8 4', 'kg', 'not-a-number'],
  ['8 lb lb', 'lb', 'not-a-number'],
  ['', 'lb', 'empty'],
] as const)('%s on a scale in %s is refused', (text, scale, reason) => {
  expect(read(text, scale)).toBe(reason);
});
