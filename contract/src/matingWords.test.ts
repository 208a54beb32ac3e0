import { dayOf, proportion, type FemaleReason, type MaleReason, type PairRefusal, type Refusal } from '@yaylak/core';
import { femaleReasonText, maleReasonText, pairText, percentText, refusalText, weightText } from '.';

const day = dayOf('2026-11-05');

it.each<[FemaleReason, string]>([
  [{ code: 'too-young', until: day }, 'too young'],
  [{ code: 'too-light', kg: 26.04, neededKg: 33, until: undefined }, '26.0\u00a0kg, needs to reach 33.0\u00a0kg first'],
  [{ code: 'heats-to-skip', goneBy: 0, of: 1 }, 'let her first heat go by'],
  [{ code: 'heats-to-skip', goneBy: 1, of: 2 }, 'let 2 heats go by, 1 gone'],
  [{ code: 'resting', bornOn: day, until: day }, 'resting since giving birth on 5 Nov 2026'],
  [{ code: 'womb', since: day }, 'womb infection: check again, then wait for the next heat'],
  [{ code: 'thin', score: 1.5, least: 2 }, 'too thin at 1.5, needs 2'],
  [{ code: 'unanswered', dueOn: day }, 'due 5 Nov 2026, and nobody said what came of her'],
  [{ code: 'carrying', servedOn: day, probability: 0.904 }, 'served, likely in young (90\u00a0%)'],
  [{ code: 'carrying', servedOn: day, probability: 0.9996 }, 'served, likely in young (over 99\u00a0%)'],
])('a female: %j', (reason, words) => {
  expect(femaleReasonText(reason, 'kg')).toBe(words);
});

it.each<[MaleReason, string]>([
  [{ code: 'too-young', until: day }, 'too young'],
  [{ code: 'too-light', kg: 40, neededKg: 52.25, until: day }, '40.0\u00a0kg, needs to reach 52.3\u00a0kg first'],
  [{ code: 'failed-check', on: day, parts: ['feet', 'testicles'] }, 'not fit at the check: feet, testicles'],
  [{ code: 'not-checked', lastOn: undefined }, 'never checked'],
  [{ code: 'not-checked', lastOn: day }, 'last checked 5 Nov 2026'],
  [{ code: 'old', since: day }, 'getting old: line up a replacement'],
  [{ code: 'low-share', share: proportion(3, 12) ?? never() }, 'only 25\u00a0% of 12 took'],
  [{ code: 'resting', until: day }, 'rests until 5 Nov 2026, many services this week'],
])('a male: %j', (reason, words) => {
  expect(maleReasonText(reason, 'kg')).toBe(words);
});
it('weights of reasons are in pounds where the holding weighs in pounds', () => {
  const light = { code: 'too-light', kg: 40, neededKg: 52.25, until: day } as const;
  expect(femaleReasonText(light, 'lb')).toBe('88.2\u00a0lb, needs to reach 115.2\u00a0lb first');
  expect(maleReasonText(light, 'lb')).toBe('88.2\u00a0lb, needs to reach 115.2\u00a0lb first');
});
it.each([
  [27.2, 'kg', undefined, '27.2\u00a0kg'],
  [640.4, 'kg', 'cattle', '640\u00a0kg'],
  [-0.02, 'kg', 'sheep', '0.0\u00a0kg'],
  [-1.5, 'kg', 'sheep', '\u22121.5\u00a0kg'],
  [27.2, 'lb', 'sheep', '60.0\u00a0lb'],
  [0.742, 'kg', 'rabbit', '742\u00a0g'],
  // 742 g are 26.173 ounces.
  [0.742, 'lb', 'rabbit', '26.2\u00a0oz'],
] as const)('%d kg, weighed in %s, of %s: %s', (kg, unit, species, text) => {
  expect(weightText(kg, unit, species)).toBe(text);
});
function never(): never {
  throw new Error('there is a share of twelve');
}

it.each<[PairRefusal, number, string]>([
  [{ code: 'relation', relation: 'parent' }, 0.25, 'Yellow Juniper is her sire: their kids would be 25\u00a0% inbred.'],
  [
    { code: 'relation', relation: 'grandyoung' },
    0.0625,
    'Yellow Juniper is her grandson: their kids would be 6.3\u00a0% inbred.',
  ],
  [
    { code: 'inbreeding', most: 0.0625 },
    0.078,
    'Yellow Juniper is too closely related: their kids would be 7.8\u00a0% inbred, and the limit is 6.3\u00a0%.',
  ],
  [{ code: 'carriers', gene: 'wry jaw', affected: 0.25 }, 0, 'Both may carry wry jaw: one kid in 4 would be affected.'],
])('a pair: %j', (refusal, inbreeding, words) => {
  expect(pairText({ refusal, inbreeding, species: 'goat' }, 'yellow Juniper')).toBe(words);
});

it.each([
  [0, '0\u00a0%'],
  [0.0625, '6.3\u00a0%'],
  [0.0999, '10\u00a0%'],
  [0.125, '13\u00a0%'],
  [1, '100\u00a0%'],
])('%d is %s', (share, text) => {
  expect(percentText(share)).toBe(text);
});

it.each<[Refusal, RegExp]>([
  [{ code: 'not-a-female', field: 'animalId', value: 'x' }, /Only a female comes on heat/],
  [{ code: 'not-a-male', field: 'maleIds', value: 'ewe' }, /^yellow 22-0001 is not a male/],
  [{ code: 'no-sire', field: 'maleIds', value: '' }, /a male of the holding, the code of a straw/],
  [{ code: 'unknown-male', field: 'maleIds', value: 'x' }, /Add him first/],
  [{ code: 'male-of-other-species', field: 'maleIds', value: 'ewe' }, /yellow 22-0001 is of another species/],
  [{ code: 'male-gone', field: 'maleIds', value: 'ewe', goneOn: '2026-10-01' }, /left the holding on 1 Oct 2026/],
  [{ code: 'unknown-stay', field: 'stayId', value: 'x' }, /never put in with that group/],
  [{ code: 'stay-ended', field: 'stayId', value: 'x' }, /taken out already/],
  [
    { code: 'time-of-other-day', field: 'at', value: '2026-11-02T07:00', on: '2026-11-01' },
    /07:00 on 2 Nov 2026 is not on 1 Nov 2026/,
  ],
  [
    {
      code: 'pair',
      field: 'maleIds',
      value: 'ewe',
      refusal: { code: 'relation', relation: 'half-sib' },
      inbreeding: 0.125,
      species: 'sheep',
    },
    /is her half-brother: their lambs .* 13\s% inbred\. Choose another male, or give the reason\.$/,
  ],
])('a refusal says the remedy: %j', (refusal, words) => {
  expect(refusalText(refusal, (id) => (id === 'ewe' ? 'yellow 22-0001' : id))).toMatch(words);
});
