import fc from 'fast-check';
import { fromKg, toKg, type AnimalId, type Days, type Grams, type GroupId, type Hours, type Kilograms } from './units';

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

it('takes a plain figure or text, and not one kind for another', () => {
  const [ewe, flock, lamb, birth, rest]: [AnimalId, GroupId, Kilograms, Grams, Days] = ['ewe', 'flock', 4.2, 4200, 3];
  // Each line is no type error unless the kinds are kept apart.
  // @ts-expect-error an animal is no group
  const group: GroupId = ewe;
  // @ts-expect-error grams are a thousand to the kilogram
  const kg: Kilograms = birth;
  // @ts-expect-error a day has 24 of them
  const hours: Hours = rest;
  expect([group, kg, hours, flock, lamb]).toEqual(['ewe', 4200, 3, 'flock', 4.2]);
});
