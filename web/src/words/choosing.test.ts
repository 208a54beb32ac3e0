import type { ChoosingSet } from '@yaylak/contract';
import { setWords } from './choosing';

const set = (species: ChoosingSet['species'], sex: ChoosingSet['sex'], from: string | null = null, to = from) =>
  ({ species, sex, from, to, key: '', count: 3 }) as unknown as ChoosingSet;

it.each([
  [set('sheep', 'female', '2026-04-02', '2026-05-06'), 'ewe lambs of Apr to May 2026'],
  [set('sheep', 'male', '2025-12-20', '2026-01-04'), 'ram lambs of Dec 2025 to Jan 2026'],
  [set('cattle', 'female'), 'grown cows'],
  [set('sheep', 'unknown'), 'sheep not sexed'],
  // Goats and rabbits have does and bucks alike.
  [set('goat', 'female'), 'grown does, goats'],
  [set('rabbit', 'male'), 'grown bucks, rabbits'],
  [set('rabbit', 'female', '2026-01-08'), 'does of Jan 2026, rabbits'],
  [set('rabbit', 'female', '2026-09-08'), 'doe kits of Sept 2026'],
])('a set of %o is called %s', (which, words) => {
  expect(setWords(which, '2026-11-30')).toBe(words);
});
