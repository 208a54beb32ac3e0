import { aRosterAnimal } from '../../../tests/builders';
import { FRESH, type Draft } from '../draft';
import { fieldsAt, finishAnimal, togglesAt, type AtHand } from '.';
import { fitAt } from './scan';
import { pressToggle } from './StationList';
import { anAtHand } from './testAtHand';

/** A ewe served twice, in a job of 23 November 2026. */
const served = [
  { from: '2026-09-20', to: '2026-09-20', males: ['R01'] },
  { from: '2026-10-07', to: '2026-10-07', males: ['R02'] },
];
const at = (change: Partial<AtHand> = {}, scan: object = { way: 'scan' }): AtHand =>
  anAtHand({
    job: { stations: ['scan'], gates: [], on: '2026-11-23', settings: { scan: scan as never } },
    animal: { ...aRosterAnimal('22-0001'), served },
    ...change,
  });
const draft = (fields: Draft['fields'], change: Partial<Draft> = {}): Draft => ({
  ...FRESH,
  animalId: 'a',
  fields,
  ...change,
});
const written = (of: Draft, where = at()) => {
  const done = finishAnimal(of, where);
  return done.kind === 'write' ? done.facts.slice(1) : done.message;
};

it('a count and an age in one field are a scan', () => {
  expect(written(draft({ scan: '2 64' }))).toEqual([
    { type: 'pregnancy-test', way: 'scan', result: 'carrying', young: 2, ageDays: 64, testedBy: 'Kerem' },
  ]);
  expect(written(draft({ scan: '0' }), at({}, { way: 'scan', testedBy: 'Selin' }))).toEqual([
    { type: 'pregnancy-test', way: 'scan', result: 'empty', testedBy: 'Selin' },
  ]);
});

it('says at once which service the age fits', () => {
  // 64 days before 23 November is 20 September.
  expect(fitAt(draft({ scan: '2 64' }), at())).toMatchObject({ kind: 'fits', nearest: 0, daysOff: 0 });
  expect(fitAt(draft({ scan: '2' }), at())).toBeUndefined();
});

it('asks once about an age that fits no service', () => {
  const odd = draft({ scan: '1 25' });
  expect(written(odd)).toMatch(/^25 days would be a service of about 29 Oct 2026, and none is on record near it/);
  expect(written({ ...odd, asked: ['none-fits 25'] })).toMatchObject([{ type: 'pregnancy-test', ageDays: 25 }]);
});

it.each([
  ['', 'Type how many young: 0 for empty, ? for doubtful; after a blank their age in days.'],
  ['two', '“two” is not a scan. Type how many young, then a blank and their age in days: 2 62.'],
  ['0 40', '“0 40” says empty with an age. An empty one has no young to tell the age of.'],
])('%j is not taken', (scan, message) => {
  expect(written(draft({ scan }))).toBe(message);
});

it('findings go along by their letters, and what is lost early is empty and a loss', () => {
  const where = at();
  const lost = togglesAt(where).find((t) => t.words === 'Lost early');
  if (!lost) throw new Error('no key for it');
  expect(written(pressToggle(draft({ scan: '1 47' }), where, lost))).toEqual([
    { type: 'pregnancy-test', way: 'scan', result: 'empty', findings: ['lost-early'], testedBy: 'Kerem' },
    { type: 'loss', how: 'absorbed' },
  ]);
  // A hand that feels finds none of these.
  expect(togglesAt(at({}, { way: 'palpation' }))).toEqual([]);
});

it('refuses a scan too soon with the day it can tell, and takes it with a reason', () => {
  const late = at({
    animal: { ...aRosterAnimal('22-0001'), served: [{ from: '2026-11-03', to: '2026-11-03', males: [] }] },
  });
  expect(fieldsAt(late)).toEqual(['scan', 'reason']);
  expect(written(draft({ scan: '1' }), late)).toMatch(
    /^Scan on day 20 after the service of 3 Nov 2026; it can tell from day 35, 8 Dec 2026\. Leave it out, or give a reason/,
  );
  expect(written(draft({ scan: '1', reason: 'the van leaves' }), late)).toMatchObject([{ reason: 'the van leaves' }]);
  // What is not too soon wants no reason, and keeps none.
  expect(written(draft({ scan: '1', reason: 'left over' }))).not.toHaveProperty('0.reason');
});

it('refuses blood too soon after a birth at the sample station', () => {
  const doe = at({
    job: {
      stations: ['sample'],
      gates: [],
      on: '2026-11-23',
      settings: { sample: { purpose: 'pregnancy', firstTube: 'B-001' } },
    },
    animal: {
      ...aRosterAnimal('22-0001'),
      served: [{ from: '2026-10-20', to: '2026-10-20', males: [] }],
      lastBirthOn: '2026-10-02',
    },
  });
  expect(written(draft({}), doe)).toMatch(
    /^Blood test on day 52 after the birth of 2 Oct 2026; it can tell from day 60, 1 Dec 2026\./,
  );
  expect(written(draft({ reason: 'sold tomorrow' }, { asked: ['tube B-001'] }), doe)).toEqual([
    { type: 'sample', tube: 'B-001', purpose: 'pregnancy', reason: 'sold tomorrow' },
  ]);
});

it('takes what a learner says of the age beside it', () => {
  const both = at({}, { way: 'scan', testedBy: 'Selin', learner: 'Kerem' });
  expect(fieldsAt(both)).toEqual(['scan', 'learnerAge']);
  expect(written(draft({ scan: '2 64', learnerAge: '70' }), both)).toMatchObject([
    { learner: 'Kerem', learnerAgeDays: 70 },
  ]);
  expect(written(draft({ scan: '2 64', learnerAge: 'about 70' }), both)).toBe(
    'The learner’s age is in days, such as 62.',
  );
});

it('lets a male through without a scan, once asked', () => {
  const ram = at({ sex: 'male' });
  expect(written(draft({}), ram)).toMatch(/^No female/);
  expect(written(draft({}, { asked: ['no-female'] }), ram)).toEqual([]);
});
