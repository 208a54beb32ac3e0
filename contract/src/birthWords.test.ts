import { birthQuestionText, refusalText } from '.';

it.each([
  [{ code: 'born-dead', dead: 2 }, '2 born dead: what was it?'],
  [
    { code: 'too-early', servedOn: '2026-07-01', days: 120, shortest: 145 },
    'Day 120 after the service of 1 Jul 2026; from day 145 on is usual. Is it she, and was she served before?',
  ],
  [
    { code: 'too-late', servedOn: '2026-05-01', days: 170, longest: 155 },
    'Day 170 after the service of 1 May 2026; up to day 155 is usual. Was she served again?',
  ],
  [
    { code: 'more-than-scanned', scanned: 1, born: 2, on: '2026-08-01' },
    '2 born, and 1 counted on 1 Aug 2026. Are they all hers?',
  ],
  [{ code: 'tested-empty', on: '2026-08-01' }, 'She tested empty on 1 Aug 2026. Is it she, or was the test wrong?'],
  [
    { code: 'two-births', on: '2026-10-20', days: 30 },
    'She gave birth on 20 Oct 2026 as well, 30 days apart. Is it she?',
  ],
  [
    { code: 'other-species', told: 'sheep', species: 'goat' },
    'This is the list of sheep, and she is one of the goats. Is it she?',
  ],
] as const)('asks about a birth: %j', (question, words) => expect(birthQuestionText(question)).toBe(words));

it('puts all questions before the way out', () => {
  const text = refusalText({
    code: 'birth-questioned',
    field: 'reason',
    value: '',
    questions: [
      { code: 'tested-empty', on: '2026-08-01' },
      { code: 'born-dead', dead: 1 },
    ],
  });
  expect(text).toBe(
    'She tested empty on 1 Aug 2026. Is it she, or was the test wrong? 1 born dead: what was it? Check, or give the reason.',
  );
});

it.each([
  [{ code: 'gives-no-birth', field: 'animalId', value: 'x' }, 'Only a female gives birth and rears young.'],
  [{ code: 'nobody-born', field: 'alive', value: '0' }, 'Nobody was born. Count at least one'],
  [{ code: 'more-dead-than-told', field: 'deadYoung', value: '2' }, 'You described more dead young than you counted.'],
  [{ code: 'birth-known', field: 'on', value: 'x', on: '2026-11-01' }, 'Her birth of 1 Nov 2026 is already recorded.'],
  [{ code: 'no-birth-before', field: 'on', value: '2026-11-01' }, 'No birth of hers is on record shortly before'],
  [{ code: 'no-age', field: 'animalId', value: 'x' }, 'No birth date on record.'],
  [{ code: 'too-old-for-colostrum', field: 'on', value: 'x', ageDays: 9 }, 'It was 9 days old then'],
  [{ code: 'own-mother', field: 'damId', value: 'x' }, 'An animal cannot be its own dam.'],
  [{ code: 'already-weaned', field: 'animalId', value: 'x' }, 'It is weaned already.'],
  [{ code: 'dam-gone', field: 'damId', value: 'x' }, 'another animal is no longer on the holding.'],
  [
    { code: 'ends-before-it-begins', field: 'since', value: '2026-11-01' },
    'It begins on 1 Nov 2026, which is not before',
  ],
] as const)('says what to do: %j', (refusal, words) => expect(refusalText(refusal)).toContain(words));
