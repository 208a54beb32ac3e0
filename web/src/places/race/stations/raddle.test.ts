import { aRosterAnimal } from '../../../tests/builders';
import { FRESH, type Draft } from '../draft';
import { finishAnimal, togglesAt, type AtHand } from '.';
import { pressToggle } from './StationList';
import { anAtHand } from './testAtHand';

const male = (name: string, colour: 'red' | 'blue' | null, isTeaser = false) => ({
  maleId: `id ${name}`,
  name,
  colour,
  isTeaser,
});
const at = (...runsWith: ReturnType<typeof male>[]): AtHand =>
  anAtHand({
    job: { stations: ['raddle'], gates: [], on: '2026-11-23', settings: {} },
    animal: { ...aRosterAnimal('22-0001'), ...(runsWith.length > 0 ? { runsWith } : {}) },
  });
/** What is written after these letters were pressed. */
function written(of: AtHand, ...letters: readonly string[]) {
  let draft: Draft = { ...FRESH, animalId: 'a' };
  for (const letter of letters) {
    const toggle = togglesAt(of).find((t) => t.letter === letter);
    if (!toggle)
      throw new Error(
        `no key ${letter} among ${togglesAt(of)
          .map((t) => t.letter)
          .join()}`,
      );
    draft = pressToggle(draft, of, toggle);
  }
  const done = finishAnimal(draft, of);
  return done.kind === 'write' ? done.facts.slice(1) : done.message;
}

it('a colour found is a service by whoever wears it', () => {
  const two = at(male('R01', 'red'), male('R02', 'blue'));
  expect(togglesAt(two).map((t) => t.words)).toEqual(['red (R01)', 'blue (R02)']);
  expect(written(two, 'b')).toEqual([{ type: 'service', way: 'raddle', maleIds: ['id R02'], colour: 'blue' }]);
});

it('without a mark nothing is written', () => {
  expect(written(at(male('R01', 'red')))).toEqual([]);
  expect(togglesAt(at())).toEqual([]);
});

it('one colour on two rams keeps both as possible sires', () => {
  expect(written(at(male('R01', 'red'), male('R02', 'red')), 'r')).toEqual([
    { type: 'service', way: 'raddle', maleIds: ['id R01', 'id R02'], colour: 'red' },
  ]);
});

it('a male without a raddle leaves a mark without a colour', () => {
  expect(written(at(male('R01', null)), 'm')).toEqual([{ type: 'service', way: 'raddle', maleIds: ['id R01'] }]);
});

it('a teaser’s mark is a heat and no service', () => {
  expect(written(at(male('T', 'red', true)), 'r')).toEqual([
    { type: 'heat', at: '2026-11-23T09:00', signs: ['stands'] },
  ]);
});

it('pressed twice it is taken back', () => {
  expect(written(at(male('R01', 'red')), 'r', 'r')).toEqual([]);
});
