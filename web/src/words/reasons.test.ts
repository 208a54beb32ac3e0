import type { ChoosingReason } from '@yaylak/core';
import { reasonWords } from './reasons';

it.each<[ChoosingReason, RegExp]>([
  [{ code: 'trait', trait: 'growth', points: 3.4 }, /^Growth adds 3 points\.$/],
  [{ code: 'trait', trait: 'damRecord', points: -1.2 }, /^Dam’s litters take 1 point\.$/],
  [{ code: 'not-measured', trait: 'lastGain' }, /not measured: counted as average/],
  [{ code: 'near-line', chanceAcross: 0.27 }, /About 3 in 10 that it belongs on the other side/],
  [
    { code: 'heavier-than-worth', place: 14, placeByWeight: 1, part: 'age', grams: 2900 },
    /^1st by weight, but 14th overall: \+2\.9\u00a0kg come from its age\.$/,
  ],
  [
    { code: 'lighter-than-worth', place: 2, placeByWeight: 22, part: 'birthType', grams: -3600 },
    /^Only 22nd by weight, yet 2nd: being one of several costs 3\.6\u00a0kg\.$/,
  ],
])('%j', (reason, words) => {
  expect(reasonWords(reason, 'kg')).toMatch(words);
});
