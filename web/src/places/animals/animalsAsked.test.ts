import { columnsOnPhone } from './animalsAsked';

it.each([
  [
    ['number', 'kind', 'group', 'lastKg', 'gain'],
    ['number', 'lastKg'],
  ],
  [
    ['kind', 'number', 'dam'],
    ['number', 'kind'],
  ],
  [['number'], ['number']],
] as const)('shows of %j on a phone %j', (chosen, shown) => {
  expect(columnsOnPhone(chosen)).toEqual(shown);
});
