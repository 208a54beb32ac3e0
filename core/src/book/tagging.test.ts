import { day } from '../tests/builders';
import { emptyFacts, sharedNumbers, tagging, type AnimalFacts } from '.';
import type { IdentifierKind, TagColour } from '../identity';

let entries = 0;
const anEwe = (id = 'ewe'): AnimalFacts =>
  emptyFacts({
    id,
    species: 'sheep',
    sex: 'female',
    bornOn: day('2024-04-01'),
    damId: undefined,
    donorId: undefined,
    sireId: undefined,
    birthType: undefined,
    rearingType: undefined,
    strain: undefined,
    version: 1,
  });
const fit = (facts: AnimalFacts, kind: IdentifierKind, text: string, on = '2024-04-02', colour?: TagColour): string => {
  const entryId = `i${entries++}`;
  facts.identifiers.push({ entryId, on: day(on), kind, text, colour, ear: undefined, shape: undefined });
  return entryId;
};
const lose = (facts: AnimalFacts, identifierId: string, on: string): void => {
  facts.identifierEnds.push({ entryId: `e${entries++}`, on: day(on), identifierId, how: 'lost' });
};

describe('what an animal wants', () => {
  it.each<[string, IdentifierKind[], string | undefined]>([
    ['nothing on', [], 'none-worn'],
    ['a name alone', ['name'], 'none-worn'],
    ['one tag', ['visual'], 'too-few'],
    ['a tag and a tattoo', ['visual', 'tattoo'], undefined],
    ['a tag and an electronic one', ['visual', 'electronic'], undefined],
  ])('with %s', (_, kinds, need) => {
    const ewe = anEwe();
    kinds.forEach((kind, i) => fit(ewe, kind, String(i)));
    expect(tagging(ewe, 2).need).toBe(need);
  });

  it('is a new one for the one it lost, until one of the kind is fitted again', () => {
    const ewe = anEwe();
    fit(ewe, 'electronic', '792000000120001');
    lose(ewe, fit(ewe, 'visual', '24-0001'), '2026-05-01');
    expect(tagging(ewe, 2)).toMatchObject({ need: 'lost-one', lost: [{ identifier: { text: '24-0001' } }] });
    // Another electronic one is no visual one, but two are worn.
    fit(ewe, 'electronic', '792000000120002', '2026-05-02');
    expect(tagging(ewe, 2)).toMatchObject({ need: undefined, lost: [{ identifier: { text: '24-0001' } }] });
    fit(ewe, 'visual', '24-0001', '2026-05-01');
    expect(tagging(ewe, 2)).toMatchObject({ need: undefined, lost: [] });
  });

  it('is nothing where one is all the holding wants', () => {
    const kit = anEwe();
    fit(kit, 'visual', 'K-26-01');
    expect(tagging(kit, 1).need).toBeUndefined();
  });
});

describe('numbers that two wear or wore', () => {
  const asOf = day('2026-11-23');
  const sold = (facts: AnimalFacts, on: string): AnimalFacts => {
    facts.departures.push({ entryId: `d${entries++}`, on: day(on), how: 'sold' });
    return facts;
  };
  it('are told apart by colour and kind, and not by how they are written', () => {
    const [a, b, c] = [anEwe('a'), anEwe('b'), anEwe('c')];
    fit(a, 'visual', '24-0001', '2024-04-02', 'yellow');
    fit(b, 'visual', '24 0001', '2024-05-02', 'yellow');
    fit(c, 'visual', '24-0001', '2024-04-02', 'blue');
    fit(c, 'tattoo', '24-0001');
    const shared = sharedNumbers([a, b, c], asOf);
    expect(shared).toHaveLength(1);
    expect(shared[0]).toMatchObject({ isNow: true, wearers: [{ animalId: 'a' }, { animalId: 'b' }] });
  });
  it('say from when to when: lost, or gone with its wearer', () => {
    const [a, b, c] = [sold(anEwe('a'), '2025-01-10'), anEwe('b'), anEwe('c')];
    fit(a, 'visual', '7', '2024-04-02', 'yellow');
    lose(b, fit(b, 'visual', '7', '2025-02-01', 'yellow'), '2025-03-01');
    fit(c, 'visual', '7', '2025-04-01', 'yellow');
    expect(sharedNumbers([c, b, a], asOf)).toEqual([
      {
        text: '7',
        colour: 'yellow',
        kind: 'visual',
        isNow: false,
        wearers: [
          { animalId: 'a', from: day('2024-04-02'), until: day('2025-01-10') },
          { animalId: 'b', from: day('2025-02-01'), until: day('2025-03-01') },
          { animalId: 'c', from: day('2025-04-01'), until: undefined },
        ],
      },
    ]);
  });
  it('are not one animal’s own number fitted again, nor a name', () => {
    const [a, b] = [anEwe('a'), anEwe('b')];
    lose(a, fit(a, 'visual', '7', '2024-04-02'), '2025-01-01');
    fit(a, 'visual', '7', '2025-01-01');
    fit(a, 'name', 'Nergis');
    fit(b, 'name', 'Nergis');
    expect(sharedNumbers([a, b], asOf)).toEqual([]);
  });
});
