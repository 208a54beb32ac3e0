import type { ParentageFault, Refusal } from '@yaylak/core';
import { electronicText, refusalText } from './words';

const nameOf = (id: string): string => ({ ewe: 'yellow 22-0001', ram: 'orange 21-R01' })[id] ?? id;
const parentage = (role: 'dam' | 'sire', value: string, fault: ParentageFault): Refusal => ({
  code: 'parentage',
  field: `${role}Id`,
  value,
  role,
  fault,
});

it.each<[Refusal, string]>([
  [
    {
      code: 'test-too-soon',
      field: 'on',
      value: '2026-11-23',
      test: { way: 'blood', after: 'service', since: '2026-11-03', days: 20, daysNeeded: 30, validFrom: '2026-12-03' },
    },
    'Blood test on day 20 after the service of 3 Nov 2026; it can tell from day 30, 3 Dec 2026. Wait until then, or give the reason; its result then counts as doubtful.',
  ],
  [
    { code: 'no-such-test', field: 'way', value: 'blood', species: 'rabbit' },
    'Rabbits are not tested that way here. Choose another, or set it up under Holding.',
  ],
  [
    { code: 'age-too-high', field: 'ageDays', value: '190', mostDays: 167 },
    'Foetal age 190 days is longer than a pregnancy (about 167 days at most). Check the age.',
  ],
  [
    { code: 'young-of-empty', field: 'young', value: '2' },
    'An empty female has no young to count or age. Mark her in young, or leave the figure blank.',
  ],
  [
    { code: 'tube-answered', field: 'sampleId', value: 'x' },
    'This tube is answered already. If the first result is wrong, delete it.',
  ],
  [
    { code: 'unknown-sample', field: 'sampleId', value: 'x' },
    'No such tube was filled from this animal. Look at the number on the tube.',
  ],
  [
    { code: 'does-not-carry', field: 'animalId', value: 'x' },
    'Only a female carries young. Choose another animal, or correct its sex first.',
  ],
  [
    { code: 'not-killed', field: 'animalId', value: 'x', left: { how: 'died', on: '2026-11-02' } },
    'It died on 2 Nov 2026, and was not killed. Look at the tag: another one may be meant.',
  ],
  [
    { code: 'not-killed', field: 'animalId', value: 'x', left: undefined },
    'It has not left to be killed. Record that it left first, or look at the tag: another one may be meant.',
  ],
  [
    { code: 'carcass-known', field: 'animalId', value: 'x', on: '2026-11-20' },
    'Its result of 20 Nov 2026 is already recorded. If that is wrong, delete it first.',
  ],
  [
    { code: 'result-of-another-time', field: 'on', value: '2026-11-20', goneOn: '2025-11-18' },
    'It left on 18 Nov 2025, so a result of 20 Nov 2026 is not its own. Check the day, or the tag.',
  ],
  [
    { code: 'carcass-over-live', field: 'carcassKg', value: '45', liveKg: 44 },
    'A carcass of 45\u00a0kg is not possible: it weighed 44\u00a0kg alive. Check the figure, or the tag.',
  ],
  [
    { code: 'deducted-over-price', field: 'deductedMinor', value: '9000' },
    'More is taken off than was paid. Check the two figures.',
  ],
  [{ code: 'unknown-animal', field: 'animalId', value: 'x' }, 'This animal is not in the book. Add it first.'],
  [{ code: 'animal-known', field: 'animalId', value: 'x' }, 'This animal is already recorded.'],
  [
    { code: 'unknown-group', field: 'groupId', value: 'x' },
    'There is no such group. Choose one of the holding’s groups.',
  ],
  [{ code: 'unknown-identifier', field: 'identifierId', value: 'x' }, 'This animal never had that tag.'],
  [{ code: 'identifier-ended', field: 'identifierId', value: 'x' }, 'That tag is already recorded as lost or removed.'],
  [{ code: 'in-future', field: 'on', value: '2030-01-01' }, '1 Jan 2030 is in the future. Enter today or earlier.'],
  [{ code: 'empty', field: 'text', value: '--' }, 'A number needs at least one letter or digit.'],
  [
    { code: 'before-birth', field: 'on', value: '2026-03-01', bornOn: '2026-04-01' },
    '1 Mar 2026 is before its birth on 1 Apr 2026. Check the date, or the birth date.',
  ],
  [
    { code: 'born-too-long-ago', field: 'bornOn', value: '1950-05-02', oldestYears: 25, species: 'sheep' },
    'Sheep do not live 25 years: 2 May 1950 is a slip of the year.',
  ],
  [
    { code: 'born-after-arrival', field: 'bornOn', value: '2026-05-02', on: '2026-05-01' },
    'Born 2 May 2026, after it came on 1 May 2026. Check the two dates.',
  ],
  [
    { code: 'gone', field: 'on', value: '2026-05-01', goneOn: '2026-04-01' },
    'It left the holding on 1 Apr 2026. If that is wrong, delete it first.',
  ],
  [
    { code: 'weight-not-positive', field: 'kg', value: '-3' },
    'A weight of -3\u00a0kg is not possible. Enter the scale reading.',
  ],
  [
    { code: 'weight-too-high', field: 'kg', value: '9999', heaviestKg: 220, species: 'sheep' },
    '9999\u00a0kg is heavier than sheep here should be (limit 220\u00a0kg). Check the figure, or raise the limit under Holding.',
  ],
  [
    { code: 'number-worn', field: 'text', value: '7', wearerId: 'ewe', colour: 'blue' },
    'Blue 7 is already on yellow 22-0001, which is here. Choose another number or colour.',
  ],
  [
    { code: 'number-worn', field: 'text', value: 'AB', wearerId: 'ewe', colour: undefined },
    'AB is already on yellow 22-0001, which is here. Choose another number or colour.',
  ],
  [
    { code: 'tube-taken', field: 'tube', value: 'B-014', animalId: 'ewe' },
    'Tube B-014 is yellow 22-0001’s already. Check the tube and re-enter its number.',
  ],
  [
    { code: 'withdrawal-needed', field: 'meatDays', value: '' },
    'The withdrawal for meat is missing. Enter the label’s days, 0 if it says none; off the label, the days your vet gave.',
  ],
  [
    { code: 'under-label', field: 'amount', value: '1', small: { reason: 'too-young', fromDays: 30, ageDays: 1 } },
    'The label is for animals from 30 days old; this one is 1 day old. Leave it out; if your vet ordered it, record it off the label with the vet’s days.',
  ],
  [
    { code: 'under-label', field: 'amount', value: '1', small: { reason: 'too-light', fromKg: 25, kg: 9 } },
    'The label is for animals from 25\u00a0kg; this one is 9\u00a0kg. Leave it out; if your vet ordered it, record it off the label with the vet’s days.',
  ],
  [
    { code: 'far-from-label', field: 'amount', value: '16', times: 2, exact: 8.0004, unit: 'ml' },
    '16 ml is 2.0 times the label’s 8 ml. Correct the amount, or give the reason.',
  ],
  [
    { code: 'castrated', field: 'sex', value: 'male', on: '2026-04-03' },
    'It was castrated on 3 Apr 2026. If that is wrong, delete it first.',
  ],
  [
    { code: 'meat-withheld', field: 'how', value: 'slaughtered', until: '2026-12-04', clearOn: '2026-12-05' },
    'Its meat is withheld to the end of 4 Dec 2026. It may go for slaughter from 5 Dec 2026.',
  ],
  [
    { code: 'buyer-not-told', field: 'toldUntil', value: '', until: '2026-12-04' },
    'Meat or milk is withheld to the end of 4 Dec 2026. Tell the buyer, and tick that you did.',
  ],
  [
    { code: 'amount-not-positive', field: 'amount', value: '0' },
    'An amount of 0 is not possible. Enter how much was given.',
  ],
  [
    { code: 'unknown-job', field: 'jobId', value: 'x' },
    'The job this was recorded in is not in the book. Start a job, or record it outside one.',
  ],
  [
    { code: 'unknown-product', field: 'productId', value: 'x' },
    'This product is not on the list. Add it under Remedies with what its label says.',
  ],
  [
    { code: 'not-sold', field: 'buyer', value: 'Kerem' },
    'A buyer, an outlet, a price or a weight at the sale is said of one that was sold or slaughtered. Leave it out, or choose how it left.',
  ],
  [
    { code: 'nothing-felt', field: 'fat', value: '' },
    'Neither shape nor fat was given. Feel the tail-head, loin, ribs or brisket, or look at the shape.',
  ],
  [
    { code: 'not-a-class', field: 'shape', value: '16' },
    '16 is not a step of the classes. They go in thirds from 1 (P- and 1-) to 15 (E+ and 5+).',
  ],
  [
    { code: 'nothing-measured', field: 'heightCm', value: '' },
    'Nothing was measured. Give the height, the length or the girth, in centimetres.',
  ],
  [
    { code: 'measure-not-believed', field: 'girthCm', value: '820', longestCm: 160, species: 'sheep' },
    '820 cm is not a body measure of sheep (over 0, up to 160). Read the stick again, or raise the limit under Holding.',
  ],
  [{ code: 'nothing-looked-at', field: 'grades', value: '' }, 'Nothing was looked over. Give at least one standard.'],
  [
    { code: 'not-a-dam', field: 'animalId', value: 'ram' },
    'A litter is recorded with its dam, and this animal is not a female.',
  ],
  [
    { code: 'reared-more-than-born', field: 'rearingType', value: '9', born: 2 },
    'Reared as one of 9, but born as one of 2. Check the two figures.',
  ],
  [parentage('dam', 'x', { code: 'unknown-parent' }), 'The dam is not in the book. Add her first.'],
  [parentage('sire', 'x', { code: 'unknown-parent' }), 'The sire is not in the book. Add him first.'],
  [
    parentage('dam', 'ewe', { code: 'parent-of-other-species' } as ParentageFault),
    'yellow 22-0001 is of another species and cannot be the dam.',
  ],
  [
    parentage('dam', 'ram', { code: 'parent-of-wrong-sex', sex: 'male' } as ParentageFault),
    'orange 21-R01 is male and cannot be the dam. Choose another, or correct its sex first.',
  ],
  [
    parentage('sire', 'ram', { code: 'parent-of-wrong-sex', sex: 'unknown' } as ParentageFault),
    'orange 21-R01 is of unknown sex and cannot be the sire. Choose another, or correct its sex first.',
  ],
  [
    parentage('dam', 'ewe', { code: 'parent-not-older' } as ParentageFault),
    'yellow 22-0001 is not older than this animal and cannot be the dam. Check the birth dates.',
  ],
  [
    parentage('dam', 'ewe', { code: 'own-ancestor' } as ParentageFault),
    'yellow 22-0001 descends from this animal, or is it. An animal cannot be its own ancestor.',
  ],
])('says what is wrong with which value, and what to do: %j', (refusal, words) => {
  expect(refusalText(refusal, nameOf)).toBe(words);
});

it('speaks in the holding’s unit', () => {
  const refusal: Refusal = { code: 'weight-too-high', field: 'kg', value: '300', heaviestKg: 220, species: 'sheep' };
  // 300 / 0.45359237 and 220 / 0.45359237
  expect(refusalText(refusal, nameOf, 'lb')).toContain(
    '661.39\u00a0lb is heavier than sheep here should be (limit 485.02\u00a0lb)',
  );
});

it.each([
  ['empty', '', 'An electronic number has 15 digits. Scan or type them.'],
  [
    'letters',
    '79200000O126032',
    '“79200000O126032” has something else than digits in it. An electronic number is 15 digits.',
  ],
  ['wrong-length', '79200000012603', '“79200000012603” has 14 digits; an electronic number has 15. Scan it again.'],
  [
    'national-too-high',
    '792999999999999',
    'above the highest number there can be (274 877 906 943 after the first three digits)',
  ],
  ['no-such-prefix', '000000000000001', 'begins with 000, which is neither a country nor a maker'],
  ['not-an-animals', '792000000126032', 'is not an animal’s number: its animal bit is not set'],
] as const)('of an electronic number that is %s', (reason, typed, words) => {
  expect(electronicText(reason, typed, typed.length)).toContain(words);
});
