import { emptyFacts, type WeightFact } from '../book';
import { biasKey, type ScaleBias } from '../growth';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { doubtOf } from '.';

const settings = SPECIES_TABLE.sheep; // 2.5 % of weight a reading; the fastest gain is added to it
const ewe = () =>
  emptyFacts({ id: 'e', species: 'sheep', sex: 'female', bornOn: day('2022-04-01'), version: 1 } as never);
const read = (on: string, kg: number, method: WeightFact['method'] = 'scale'): WeightFact => ({
  entryId: on,
  on: day(on),
  kg,
  method,
  by: 'Kerem',
});
// His tape reads a third high.
const bias = { by: 'Kerem', method: 'tape', species: 'sheep', ratio: 4 / 3, isUsed: true } as ScaleBias;
const biases = new Map([[biasKey(bias), bias]]);

it('sets a tape right before it doubts it, in the reading and in the one before', () => {
  const facts = ewe();
  facts.weights.push(read('2026-11-01', 60));
  const tape = read('2026-11-03', 80, 'tape');
  expect(doubtOf(facts, tape, { biases: () => biases, settings })).toBeUndefined();
  expect(doubtOf(facts, tape, { biases: () => new Map(), settings })).toMatchObject({
    kind: 'jump',
    fromKg: 60,
    days: 2,
  });
  facts.weights.push(tape);
  expect(doubtOf(facts, read('2026-11-05', 60), { biases: () => biases, settings })).toBeUndefined();
});

it('asks for no bias where all was weighed', () => {
  const facts = ewe();
  facts.weights.push(read('2026-11-01', 60));
  const biasesAsked = jest.fn(() => biases);
  expect(doubtOf(facts, read('2026-11-03', 90), { biases: biasesAsked, settings })?.kind).toBe('jump');
  expect(biasesAsked).not.toHaveBeenCalled();
});
