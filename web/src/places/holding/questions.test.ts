import { SPECIES_TABLE } from '@yaylak/core';
import { QUESTIONS } from './questions';

it('asks for every figure of a species once', () => {
  const asked = QUESTIONS.flatMap((q): readonly string[] => q.fields);
  const all = Object.keys(SPECIES_TABLE.sheep).filter((field) => field !== 'breeds');
  expect([...asked].sort()).toEqual(all.sort());
});
