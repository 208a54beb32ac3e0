import { recentAnimals, rememberAnimal } from './recent';

beforeEach(() => localStorage.clear());

it('keeps the eight opened last, each once, the latest first', () => {
  for (const id of ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'c']) rememberAnimal(id);
  expect(recentAnimals()).toEqual(['c', 'i', 'h', 'g', 'f', 'e', 'd', 'b']);
});

it.each(['{', '"a"', '[1, null, "a"]'])('makes the best of what else stands there: %s', (kept) => {
  localStorage.setItem('yaylak-recent-animals', kept);
  expect(recentAnimals()).toEqual(kept.startsWith('[') ? ['a'] : []);
});
