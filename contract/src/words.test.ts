import { electronicText, refusalText } from './words';

it.each([
  [
    { code: 'weight-too-high', field: 'kg', value: '9999', heaviestKg: 220, species: 'sheep' },
    /^9999\u00a0kg is more than any sheep weigh here \(up to 220\u00a0kg\)/,
  ],
  [{ code: 'in-future', field: 'on', value: '2030-01-01' }, /2030-01-01 is still to come/],
  [
    { code: 'number-worn', field: 'text', value: '7', wearerId: 'x', colour: 'blue' },
    /^Blue 7 is worn by another animal/,
  ],
  [
    { code: 'parentage', field: 'damId', value: 'x', role: 'dam', fault: { code: 'own-ancestor' } },
    /cannot be its own ancestor/,
  ],
] as const)('says what is wrong and what to do: %j', (refusal, words) => {
  expect(refusalText(refusal)).toMatch(words);
});

it('gives the count of digits of a short electronic number', () => {
  expect(electronicText('wrong-length', '79200000012603', 14)).toContain('has 14 digits; an electronic number has 15');
});
