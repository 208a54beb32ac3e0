import { overrideFaults } from './overrideFaults';

const faults = (breeds: unknown) => overrideFaults({ sheep: { breeds: breeds as never } }).map((f) => f.message);
const late = (name: unknown) => ({ name, fatGroup: 'late' });

it('takes a list of breeds, each named once and early, between or late to lay on fat', () => {
  expect(faults([])).toEqual([]);
  expect(faults([late('Hill white'), { name: 'Plain red', fatGroup: 'early' }])).toEqual([]);
});

it.each([
  ['no list', 'Hill', 'species.sheep.breeds must be a list of up to 40.'],
  [
    'more than forty',
    Array.from({ length: 41 }, (_, i) => late(`B${i}`)),
    'species.sheep.breeds must be a list of up to 40.',
  ],
  ['no name', [late(' ')], 'species.sheep.breeds.0 needs a name of up to 60 letters.'],
  ['nothing at all', [null], 'species.sheep.breeds.0 needs a name of up to 60 letters.'],
  ['another group', [{ name: 'Hill', fatGroup: 'soon' }], '“Hill” must be one of early, middle, late.'],
  ['one twice', [late('Hill white'), late('hill  White')], '“hill  White” stands twice. Take one out.'],
])('refuses %s', (_, breeds, message) => {
  expect(faults(breeds)).toEqual([message]);
});
