import { dayOf } from '@yaylak/core';
import { firstFigureText } from './firstFigures';

const said = (figure: Parameters<typeof firstFigureText>[0], unit: 'kg' | 'lb' = 'kg') =>
  firstFigureText(figure, { unit, nameOf: (id) => `no ${id}` }).said.replace(/\s/g, ' ');

it('tells each figure as a keeper would, in the unit and the words of the species', () => {
  expect(
    said({
      kind: 'weights',
      species: 'sheep',
      weighed: 3,
      meanKg: 64,
      halfWidth: 5.76,
      lightest: { animalId: 'a', kg: 60 },
      heaviest: { animalId: 'b', kg: 70 },
    }),
  ).toBe(
    '3 ewes weigh 64.0 kg ± 5.8 kg on average. no a is the lightest, 60.0 kg, 6 % under: feel her condition. Dose a mob for the heaviest, no b with 70.0 kg.',
  );
  const births = { kind: 'births', females: 1, from: dayOf('2027-04-14'), to: dayOf('2027-05-28') } as const;
  expect(said({ ...births, species: 'sheep', stays: 34 })).toBe(
    'If a ram went in today and stayed 34 days, lambing of 1 ewe would be from 14 Apr to 28 May 2027.',
  );
  expect(said({ ...births, species: 'rabbit', stays: 0 })).toMatch(/^If a buck went in today, kindling of 1 doe/);
  const young = { kind: 'first-mating', species: 'sheep', young: 2, on: dayOf('2027-04-04') } as const;
  expect(said({ ...young, leastKg: 41.6 }, 'lb')).toBe(
    '2 ewe lambs are too young to be mated; the first is old enough on 4 Apr 2027, at 91.7 lb or more.',
  );
  expect(said({ ...young, young: 1, leastKg: undefined })).toBe(
    '1 ewe lamb is too young to be mated; the first is old enough on 4 Apr 2027.',
  );
});
