import fc from 'fast-check';
import { addDays, type Day } from '../calendar';
import { SPECIES } from '../species';
import { anAnimal, day } from '../tests/builders';
import type { AnimalFacts, AnimalRecord } from './facts';
import { checkLeaving, withheldOn } from './withheld';

const treated = (
  record: Partial<AnimalRecord>,
  given: { on: string; meatDays?: number; milkDays?: number } = { on: '2026-11-20', meatDays: 14 },
): AnimalFacts => {
  const facts = anAnimal('animal', record);
  facts.treatments.push({
    entryId: 't1',
    on: day(given.on),
    productId: 'drench',
    meatDays: given.meatDays,
    milkDays: given.milkDays,
    amount: 8,
    unit: 'ml',
    route: 'mouth',
    batch: undefined,
    isOffLabel: false,
    reason: undefined,
  });
  return facts;
};

describe('leaving', () => {
  const lamb = treated({ bornOn: day('2026-04-01') });
  it.each<[string, string, object, string | undefined]>([
    ['for slaughter on the last counted day', '2026-12-04', { how: 'slaughtered' }, 'meat-withheld'],
    ['for slaughter the day after', '2026-12-05', { how: 'slaughtered' }, undefined],
    [
      'for slaughter, whatever the buyer was told',
      '2026-12-04',
      { how: 'slaughtered', toldUntil: '2026-12-04' },
      'meat-withheld',
    ],
    ['for slaughter before the treatment', '2026-11-19', { how: 'slaughtered' }, undefined],
    ['alive, the buyer not told', '2026-11-28', { how: 'sold' }, 'buyer-not-told'],
    ['alive, the buyer told a day too early', '2026-11-28', { how: 'sold', toldUntil: '2026-12-03' }, 'buyer-not-told'],
    ['alive, the buyer told', '2026-11-28', { how: 'sold', toldUntil: '2026-12-04' }, undefined],
    ['dead', '2026-11-28', { how: 'died' }, undefined],
    ['lost', '2026-11-28', { how: 'lost' }, undefined],
  ])('%s', (_, on, written, code) => {
    expect(checkLeaving(written as never, lamb, day(on))?.code).toBe(code);
  });

  it('says the day it is clear, over a year’s end', () => {
    const late = treated({}, { on: '2026-12-20', meatDays: 14 });
    expect(checkLeaving({ how: 'slaughtered' }, late, day('2026-12-31'))).toEqual({
      code: 'meat-withheld',
      field: 'how',
      value: 'slaughtered',
      until: '2027-01-03',
      clearOn: '2027-01-04',
    });
  });

  it('never lets meat go on a day that the days of any treatment reach', () => {
    const first = day('2028-02-01');
    fc.assert(
      fc.property(
        fc.array(fc.record({ on: fc.nat(60), days: fc.nat(40) }), { maxLength: 5 }),
        fc.nat(120),
        (given, at) => {
          const facts = anAnimal('one');
          for (const { on, days } of given)
            facts.treatments.push({ ...treated({}).treatments[0], on: addDays(first, on), meatDays: days } as never);
          const isHeld = given.some(({ on, days }) => days > 0 && on <= at && at <= on + days);
          expect(checkLeaving({ how: 'slaughtered' }, facts, addDays(first, at)) !== undefined).toBe(isHeld);
        },
      ),
    );
  });
});

describe('milk', () => {
  const milked = { on: '2026-11-20', milkDays: 7 };
  const ofMilk = (facts: AnimalFacts, on: Day = day('2026-11-21')): boolean =>
    withheldOn(facts, on).some((w) => w.of === 'milk');
  it('is withheld of those that may be in milk by then, not of young nor of males', () => {
    expect(ofMilk(treated({ bornOn: day('2026-04-01') }, milked))).toBe(false);
    expect(ofMilk(treated({ bornOn: day('2024-04-01') }, milked))).toBe(true);
    expect(ofMilk(treated({ bornOn: undefined }, milked))).toBe(true);
    expect(ofMilk(treated({ sex: 'male', bornOn: day('2024-04-01') }, milked))).toBe(false);
  });
  it('is withheld of one served, or in milk, however young she is', () => {
    const young = { bornOn: day('2026-04-01') };
    const served = treated(young, milked);
    served.services.push({ entryId: 's1', on: day('2026-11-01') } as never);
    const milking = treated(young, milked);
    milking.births.push({ entryId: 'b1', on: day('2026-11-10') } as never);
    expect([ofMilk(served), ofMilk(milking)]).toEqual([true, true]);
  });
  it('is asked of no animal that is weaned only', () => {
    for (const species of SPECIES) expect(ofMilk(treated({ species, bornOn: day('2026-09-20') }, milked))).toBe(false);
  });
});
