import { entryFieldWord, faultWords } from './faultWords';

it.each([
  [{ field: 'weight', value: 'x', reason: 'not-a-number' }, '“x” is not a number; write 27.2 or 27,2'],
  [
    { field: 'on', value: '29.02.2025', reason: 'not-a-date' },
    '“29.02.2025” is not a real date; write 2026-03-31 or 31.03.2026',
  ],
  [
    { field: 'species', value: 'dragon', reason: 'unknown-word', known: ['sheep', 'goat'] },
    '“dragon” is not a species known here; use sheep, goat',
  ],
  [{ field: 'number', value: '', reason: 'missing' }, 'is empty; it is needed'],
] as const)('%j', (fault, words) => {
  expect(faultWords(fault)).toBe(words);
});

it('names the column behind a field of an entry', () => {
  expect(['kg', 'text', 'bornOn', undefined].map(entryFieldWord)).toEqual(['weight', 'number', 'birth date', '']);
});
