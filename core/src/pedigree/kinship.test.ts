import fc from 'fast-check';
import {
  commonAncestors,
  generationEquivalents,
  inbreedingOf,
  kinship,
  kinshipTable,
  pedigreeOf,
  type Pedigree,
  type WithParents,
} from '.';

/** `'c a b'` is c by sire a out of dam b; a dot is not known. */
const animals = (...lines: readonly string[]): WithParents[] =>
  lines.map((line) => {
    const [id = '', sire = '.', dam = '.'] = line.split(' ');
    return { id, sireId: sire === '.' ? undefined : sire, damId: dam === '.' ? undefined : dam };
  });
function read(...lines: readonly string[]): Pedigree {
  const found = pedigreeOf(animals(...lines));
  if (found.kind !== 'pedigree') throw new Error(`a loop at ${found.ids.join()}`);
  return found.pedigree;
}
const inbreeding = (pedigree: Pedigree, id: string): number =>
  inbreedingOf(pedigree)[pedigree.indexOf.get(id) as number] as number;

describe('inbreeding by hand', () => {
  const family = [
    'grandsire',
    'granddam',
    'other1',
    'other2',
    'a grandsire granddam',
    'b grandsire granddam',
    'half grandsire other1',
    'a1 a other1',
    'b1 b other2',
  ];
  it.each([
    ['full sibs', 'a b', 0.25],
    ['half sibs', 'a half', 0.125],
    ['parent and young', 'grandsire a', 0.25],
    ['grandparent and young', 'grandsire a1', 0.125],
    ['first cousins', 'a1 b1', 0.0625],
    ['uncle and niece', 'a b1', 0.125],
    ['strangers', 'other1 other2', 0],
    ['one parent unknown', 'a .', 0],
  ])('of %s', (_, parents, coefficient) => {
    expect(inbreeding(read(...family, `young ${parents}`), 'young')).toBe(coefficient);
  });

  it('of full sibs mated again and again is .25 .375 .5 .594', () => {
    const lines = ['s0', 'd0', 's1 s0 d0', 'd1 s0 d0'];
    for (let g = 2; g <= 5; g++) lines.push(`s${g} s${g - 1} d${g - 1}`, `d${g} s${g - 1} d${g - 1}`);
    const pedigree = read(...lines);
    expect([2, 3, 4, 5].map((g) => inbreeding(pedigree, `d${g}`))).toEqual([0.25, 0.375, 0.5, 0.59375]);
  });
});

describe('the pedigree in order', () => {
  it('puts parents before young whatever the order given', () => {
    const pedigree = read('young a b', 'a g .', 'b g h', 'g', 'h');
    pedigree.ids.forEach((_, i) => {
      expect(pedigree.sire[i]).toBeLessThan(i);
      expect(pedigree.dam[i]).toBeLessThan(i);
    });
    expect(pedigree.generationStarts).toEqual([0, 2, 4, 5]);
  });
  it('takes a parent that is not there for unknown', () => {
    expect(inbreeding(read('a ghost .', 'b ghost .', 'young a b'), 'young')).toBe(0);
  });
  it('names the animals of a loop, and does not hang on it', () => {
    expect(pedigreeOf(animals('a b .', 'b a .', 'c'))).toEqual({ kind: 'loop', ids: ['a', 'b'] });
  });
});

/** A random pedigree of so many animals; parents stand before their young, males are even. */
const randomPedigree = (most: number): fc.Arbitrary<WithParents[]> =>
  fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(9), fc.nat(9)), { minLength: 4, maxLength: most }).map((draws) =>
    draws.map(([s, d, noSire, noDam], i) => ({
      id: String(i),
      sireId: i < 2 || noSire === 0 ? undefined : String(2 * (s % Math.ceil(i / 2))),
      damId: i < 2 || noDam === 0 ? undefined : String(1 + 2 * (d % Math.floor(i / 2))),
    })),
  );

/** Slow and obvious: the whole relationship matrix by the tabular method (Emik & Terrill 1949). */
function tabular(list: readonly WithParents[]): number[][] {
  const a = list.map(() => list.map(() => 0));
  const at = (i: number | undefined, j: number): number => (i === undefined ? 0 : (a[i]?.[j] ?? 0));
  const index = (id: string | undefined): number | undefined => (id === undefined ? undefined : Number(id));
  list.forEach((animal, i) => {
    const s = index(animal.sireId);
    const d = index(animal.damId);
    for (let j = 0; j < i; j++) {
      const value = (at(s, j) + at(d, j)) / 2;
      (a[i] as number[])[j] = value;
      (a[j] as number[])[i] = value;
    }
    (a[i] as number[])[i] = 1 + (s === undefined || d === undefined ? 0 : at(s, d) / 2);
  });
  return a;
}

describe('against the whole matrix, on random pedigrees', () => {
  it('inbreeding and kinship are the same', () => {
    fc.assert(
      fc.property(randomPedigree(40), fc.array(fc.nat(), { minLength: 1, maxLength: 4 }), (list, picks) => {
        const matrix = tabular(list);
        const found = pedigreeOf(list);
        if (found.kind !== 'pedigree') throw new Error('a loop');
        const { pedigree } = found;
        const f = inbreedingOf(pedigree);
        list.forEach((animal, i) =>
          expect(f[pedigree.indexOf.get(animal.id) as number]).toBeCloseTo((matrix[i]?.[i] ?? 0) - 1, 10),
        );
        const rows = picks.map((p) => String(p % list.length));
        const columns = list.map((x) => x.id);
        const { values } = kinshipTable(pedigree, f, rows, columns);
        rows.forEach((r, i) =>
          columns.forEach((c, j) =>
            expect(values[i * columns.length + j]).toBeCloseTo((matrix[Number(r)]?.[Number(c)] ?? 0) / 2, 10),
          ),
        );
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  it('the parts of the common ancestors add up to the kinship', () => {
    fc.assert(
      fc.property(randomPedigree(30), fc.nat(), fc.nat(), (list, x, y) => {
        const found = pedigreeOf(list);
        if (found.kind !== 'pedigree') throw new Error('a loop');
        const f = inbreedingOf(found.pedigree);
        const [a, b] = [String(x % list.length), String(y % list.length)];
        const { ancestors, isWhole } = commonAncestors(found.pedigree, f, a, b);
        expect(isWhole).toBe(true);
        const sum = ancestors.reduce((s, one) => s + one.inbreeding, 0);
        expect(sum).toBeCloseTo(kinship(found.pedigree, f, a, b), 10);
      }),
      { seed: 6, numRuns: 60 },
    );
  });

  it('a sire with a whole flock of mates gives what each pair alone gives', () => {
    // So many mates that his row is swept instead of each pair traced.
    const lines = ['r', 'x', 'y'];
    for (let i = 0; i < 60; i++) lines.push(`e${i} r ${i % 2 ? 'x' : 'y'}`);
    lines.push('son r x');
    for (let i = 0; i < 60; i++) lines.push(`l${i} son e${i}`);
    const list = animals(...lines);
    const pedigree = read(...lines);
    // Half sibs whose dams are strangers 0.125, full sibs 0.25.
    list.forEach(({ id }) => {
      if (id.startsWith('l')) expect(inbreeding(pedigree, id)).toBe(Number(id.slice(1)) % 2 ? 0.25 : 0.125);
    });
  });
});

describe('whatever the pedigree', () => {
  it('nothing changes when the animals are given in another order', () => {
    fc.assert(
      fc.property(randomPedigree(30), (list) => {
        const [straight, turned] = [list, list.toReversed()].map((given) => {
          const found = pedigreeOf(given);
          if (found.kind !== 'pedigree') throw new Error('a loop');
          const f = inbreedingOf(found.pedigree);
          return new Map(found.pedigree.ids.map((id, i) => [id, f[i] as number]));
        });
        list.forEach(({ id }) => expect(turned?.get(id)).toBeCloseTo(straight?.get(id) as number, 12));
      }),
      { seed: 7, numRuns: 60 },
    );
  });

  it('kinship is the same both ways round, and with oneself half of 1 + F', () => {
    fc.assert(
      fc.property(randomPedigree(30), fc.nat(), fc.nat(), (list, x, y) => {
        const found = pedigreeOf(list);
        if (found.kind !== 'pedigree') throw new Error('a loop');
        const { pedigree } = found;
        const f = inbreedingOf(pedigree);
        const [a, b] = [String(x % list.length), String(y % list.length)];
        expect(kinship(pedigree, f, a, b)).toBeCloseTo(kinship(pedigree, f, b, a), 12);
        const own = f[pedigree.indexOf.get(a) as number] as number;
        expect(kinship(pedigree, f, a, a)).toBeCloseTo((1 + own) / 2, 12);
      }),
      { seed: 8, numRuns: 60 },
    );
  });

  it('an animal nobody knows is kin to none', () => {
    const pedigree = read('a', 'b');
    expect(kinship(pedigree, inbreedingOf(pedigree), 'a', 'stranger')).toBe(0);
    expect(kinship(pedigree, inbreedingOf(pedigree), 'stranger', 'a')).toBe(0);
    expect(commonAncestors(pedigree, inbreedingOf(pedigree), 'a', 'stranger').ancestors).toEqual([]);
  });
});

it('names the shared sire alone, not his parents beside him', () => {
  const pedigree = read('top', 'r top .', 'x', 'y', 'a r x', 'b r y');
  expect(commonAncestors(pedigree, inbreedingOf(pedigree), 'a', 'b')).toEqual({
    ancestors: [{ id: 'r', inbreeding: 0.125 }],
    isWhole: true,
  });
});

it('counts how far back a pedigree is known, in whole generations', () => {
  const pedigree = read('g', 'h', 'a g h', 'b g .', 'young a b');
  // Both parents 1/2 + 1/2, three of four grandparents at 1/4.
  expect(generationEquivalents(pedigree)[pedigree.indexOf.get('young') as number]).toBe(1.75);
});
