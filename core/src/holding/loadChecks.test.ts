import { departure } from '../book/kinds/departure';
import { look } from '../book/kinds/look';
import { reservation } from '../book/kinds/reservation';
import { treatment } from '../book/kinds/treatment';
import { addDays, type Window } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { anAnimal, day } from '../tests/builders';
import { loadChecks } from './loadChecks';

const { sheep } = SPECIES_TABLE;
const ON = day('2026-11-30');
const at = (on: string) => ({ entryId: on, on: day(on), jobId: undefined }) as never;
const asked = (isDead: boolean, outletName = 'Stone bridge') => ({ on: ON, isDead, outletName });
const lamb = (change: object = {}) => anAnimal('lamb', { sex: 'male', bornOn: day('2026-04-10'), ...change });
const codes = (facts: ReturnType<typeof lamb>, isDead = true, birth?: Window) =>
  loadChecks(facts, asked(isDead), sheep, birth).map((c) => c.code);

it('says nothing against a sound one that is old enough', () => {
  expect(codes(lamb())).toEqual([]);
});

it('keeps one under withdrawal off: for slaughter until it is clear, alive until the buyer is told', () => {
  const facts = lamb();
  facts.treatments.push(treatment.fact({ meatDays: 14, productId: 'd' } as never, at('2026-11-20')));
  expect(loadChecks(facts, asked(true), sheep, undefined)).toEqual([
    { code: 'meat-withheld', isStop: true, until: '2026-12-04', clearOn: '2026-12-05' },
  ]);
  expect(loadChecks(facts, asked(false), sheep, undefined)).toEqual([
    { code: 'buyer-to-tell', isStop: true, until: '2026-12-04' },
  ]);
});

it('keeps one off that is reserved, but not on the load of its own buyer', () => {
  const facts = lamb();
  facts.reservations.push(reservation.fact({ buyer: 'stone  Bridge' } as never, at('2026-11-20')));
  expect(codes(facts)).toEqual([]);
  expect(loadChecks(facts, asked(true, 'Hill market'), sheep, undefined)).toEqual([
    { code: 'reserved', isStop: true, buyer: 'stone  Bridge' },
  ]);
});

it('keeps the too young off, with the days that are missing', () => {
  const young = lamb({ bornOn: addDays(ON, 2 - sheep.selling.leavesFromDays) });
  expect(loadChecks(young, asked(true), sheep, undefined)).toEqual([{ code: 'too-young', isStop: true, inDays: 2 }]);
  expect(codes(lamb({ bornOn: addDays(ON, -sheep.selling.leavesFromDays) }))).toEqual([]);
});

it('cautions in the last tenth of carrying, by the first day she may give birth', () => {
  const ewe = lamb({ sex: 'female', bornOn: day('2022-04-10') });
  const tenth = Math.round(0.1 * sheep.gestationDays.mean);
  const window = (days: number): Window => {
    const [opens, closes] = [addDays(ON, days), addDays(ON, days + 7)];
    return { opens, closes, bestFrom: opens, bestTo: closes };
  };
  expect(codes(ewe, true, window(tenth))).toEqual(['near-birth']);
  expect(codes(ewe, true, window(tenth + 1))).toEqual([]);
});

it('cautions of feet or legs that failed at the last look at them, for sixty days', () => {
  const facts = lamb();
  const seen = (on: string, grades: object) => facts.looks.push(look.fact({ grades } as never, at(on)));
  seen('2026-10-01', { 'sheep-feet': 'fail' });
  expect(codes(facts)).toEqual(['lame']);
  seen('2026-11-01', { 'sheep-feet': 'pass' });
  expect(codes(facts)).toEqual([]);
  seen('2026-11-02', { 'sheep-mouth': 'fail' });
  expect(codes(facts)).toEqual([]);
});

it('keeps one off that has left meanwhile', () => {
  const facts = lamb();
  facts.departures.push(departure.fact({ how: 'died' } as never, at('2026-11-29')));
  expect(codes(facts)).toEqual(['gone']);
});
