import { exposuresOf } from '../holding';
import type { Sex } from '../species';
import { anAnimal, day } from '../tests/builders';
import { castratedOn, withSexToday } from './castration';
import type { AnimalFacts } from './facts';
import type { CareFact } from './kinds/care';

const cut = (on: string): CareFact => ({ entryId: `cut ${on}`, on: day(on), kind: 'castrate', method: 'ring' });
const shorn: CareFact = { entryId: 'shorn', on: day('2026-06-01'), kind: 'shear', method: 'whole' };

describe('an animal that was castrated', () => {
  it.each<[Sex, readonly CareFact[], Sex]>([
    ['male', [], 'male'],
    ['male', [shorn], 'male'],
    ['male', [shorn, cut('2026-06-03')], 'castrate'],
    ['unknown', [cut('2026-06-03')], 'castrate'],
    ['castrate', [], 'castrate'],
    // A sex that was corrected to female goes before a slip of the hand.
    ['female', [cut('2026-06-03')], 'female'],
  ])('recorded as %s, with %j, is a %s', (sex, cares, today) => {
    const record = withSexToday(anAnimal('a', { sex }).record, cares);
    expect(record.sex).toBe(today);
    expect(record.recordedSex).toBe(today === sex ? undefined : sex);
    // Taken back, it is what its record says.
    expect(withSexToday(record, [])).toEqual(anAnimal('a', { sex }).record);
  });

  it('is one since the first day that says so', () => {
    expect(castratedOn({ cares: [shorn, cut('2026-06-03')] })).toBe(day('2026-06-03'));
    expect(castratedOn({ cares: [shorn] })).toBeUndefined();
  });
});

describe('what a castrate may have sired', () => {
  const ran = (cares: readonly CareFact[], from: string, isTeaser = false): AnimalFacts => {
    const facts = anAnimal('m', { sex: 'castrate' });
    facts.cares.push(...cares);
    facts.stays.push({ entryId: 's', on: day(from), groupId: 'ewes', isTeaser, colour: undefined } as never);
    return facts;
  };
  it.each<[string, AnimalFacts, boolean, string | undefined]>([
    ['ends on the day he was castrated', ran([cut('2026-10-20')], '2026-10-01'), false, '2026-10-20'],
    ['is nothing of a stay after it', ran([cut('2026-10-20')], '2026-10-20'), true, undefined],
    ['is nothing where the day is not known', ran([], '2026-10-01'), true, undefined],
    ['is nothing of a teaser', ran([cut('2026-10-20')], '2026-10-01', true), true, '2026-10-20'],
  ])('%s', (_, facts, isTeaser, to) => {
    expect(exposuresOf(facts)).toMatchObject([{ isTeaser, to: to === undefined ? undefined : day(to) }]);
  });
});
