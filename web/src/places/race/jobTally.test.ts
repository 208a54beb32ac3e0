import { USUAL_STANDARDS } from '@yaylak/core';
import { aProduct, anEntry } from '../../tests/builders';
import { jobTally } from './jobTally';
import type { Passage } from './raceLog';

const passage = (...entries: object[]): Passage =>
  ({
    animalId: 'a',
    writtenAt: 't',
    on: '2026-11-23',
    kg: undefined,
    gate: undefined,
    entries,
    refusedBecause: undefined,
  }) as Passage;

it('adds up what a job did, heads and amounts', () => {
  const drench = aProduct('White drench');
  const dose = (amount: number) => anEntry('treatment', { productId: drench.id, amount, unit: 'ml', route: 'mouth' });
  expect(
    jobTally(
      [
        passage(dose(8.5), anEntry('look', { grades: { 'sheep-feet': 'fail', 'sheep-mouth': 'pass' } })),
        passage(dose(7), anEntry('sample', { tube: 'B-001' }), anEntry('care', { kind: 'feet' })),
        passage(anEntry('sample', { tube: 'B-002' }), anEntry('look', { grades: { 'sheep-feet': 'fail' } })),
      ],
      [drench],
      USUAL_STANDARDS,
    ),
  ).toEqual([
    { what: 'White drench', figure: '2 head, 15.5 ml' },
    { what: 'Fails feet', figure: '2' },
    { what: 'Feet', figure: '1' },
    { what: 'Tubes', figure: '2: B-001 to B-002' },
  ]);
  expect(jobTally([], [], [])).toEqual([]);
});
