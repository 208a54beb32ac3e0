import { addDays, SPECIES_TABLE, type Reading } from '..';
import { day } from '../tests/builders';
import { grownRecord, growthRecords, weanedRecord, type GrownSoFar } from './records';

const young = (animalId: string, bornOn: string, groupId: string, damId?: string): GrownSoFar => ({
  animalId,
  species: 'sheep',
  bornOn: day(bornOn),
  damId,
  kg: 30,
  groupId,
});

describe('records of growth', () => {
  it('are held against those born within 35 days and weighed in one group; one alone joins the nearest in time', () => {
    const records = growthRecords([
      young('a', '2026-02-01', 'high'),
      young('b', '2026-03-08', 'high'), // 35 days
      young('c', '2026-03-09', 'high'), // 36: alone
      young('d', '2026-03-01', 'low'),
      young('e', '2026-03-05', 'low'),
      young('f', '2026-09-01', 'low'),
    ]);
    const groupOf = (id: string) => records.find((r) => r.animalId === id)?.effects[0];
    expect(groupOf('a')).toBe(groupOf('b'));
    expect(groupOf('d')).toBe(groupOf('e'));
    expect(groupOf('a')).not.toBe(groupOf('d'));
    // The high group ends on 8 March, a day before; the low one on 5 March.
    expect(groupOf('c')).toBe(groupOf('a'));
    expect(groupOf('f')).toBe(groupOf('a'));
  });
  it('share a litter by dam and day', () => {
    const [a, b, c] = growthRecords([
      young('a', '2026-02-01', 'g', 'dam'),
      young('b', '2026-02-01', 'g', 'dam'),
      young('c', '2026-02-01', 'g'),
    ]);
    expect(a?.sharedBy).toBe(b?.sharedBy);
    expect(a?.sharedBy).toBeDefined();
    expect(c?.sharedBy).toBeUndefined();
  });
});

it('a weaned litter has December in the winter to come, and is known from the third on as grown', () => {
  const litter = { on: day('2025-12-20'), parity: 5, bornAlive: 2, weanedKg: 40, rearedIfFostered: undefined };
  expect(weanedRecord('dam', litter)[0]?.effects).toEqual(['2026 winter', '3', 'her own']);
  expect(weanedRecord('dam', { ...litter, rearedIfFostered: 3 })[0]?.effects[2]).toBe('fostered, 3 reared');
  expect(weanedRecord('dam', { ...litter, weanedKg: undefined })).toEqual([]);
});

describe('the grown weight', () => {
  const bornOn = day('2021-02-01');
  const reading = (ageDays: number, kg: number): Reading => ({ on: addDays(bornOn, ageDays), kg, method: 'scale' });
  const of = (daily: readonly Reading[], score?: number) =>
    grownRecord(
      {
        id: 'a',
        sex: 'female',
        bornOn,
        daily,
        scores: score === undefined ? [] : [{ on: addDays(bornOn, 1500), score }],
      },
      SPECIES_TABLE.sheep,
    );
  it('of a grown one is its last, at score 3', () => {
    expect(of([reading(1500, 62)])).toMatchObject({ value: 62, effects: ['2021', 'female'] });
    // Half a score over, 13 % a score: 62 / 1.065.
    expect(of([reading(1500, 62)], 3.5)?.value).toBeCloseTo(58.216, 3);
  });
  it('of a young one comes from its curve, and of one with a weight or two from nowhere', () => {
    expect(of([reading(90, 28), reading(200, 41)])).toBeUndefined();
    // Brody: 60 kg grown, of which 93 % are left at birth.
    const kg = (age: number) => 60 * (1 - 0.93 * Math.exp(-0.005 * age));
    const daily = [1, 60, 120, 200, 300, 400].map((age) => reading(age, kg(age)));
    expect(of(daily)?.value).toBeCloseTo(60, 3);
  });
});
