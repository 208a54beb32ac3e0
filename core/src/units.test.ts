import fc from 'fast-check';
import { fromKg, toKg } from './units';

it('turns pounds into kilograms by the international pound', () => {
  expect(toKg(100, 'lb')).toBe(45.359237);
  expect(toKg(16, 'oz')).toBe(0.45359237);
  expect(fromKg(0.45359237, 'oz')).toBe(16);
  expect(toKg(12.5, 'kg')).toBe(12.5);
  expect(toKg(742, 'g')).toBe(0.742);
  expect(fromKg(0.742, 'g')).toBe(742);
});

it('gives back what was typed', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 2000, noNaN: true }), (lb) =>
      expect(fromKg(toKg(lb, 'lb'), 'lb')).toBeCloseTo(lb, 9),
    ),
  );
});
