import fc from 'fast-check';
import { inbreedingOf, kinshipTable, pedigreeOf, type Pedigree, type WithParents } from '../pedigree';
import { factorise, inverseDiagonal, solve } from './factorise';
import { solveMixedModel, type ModelRecords, type VarianceShares } from './mixedModel';
import { seededRandom } from '../statistics';
import { SymmetricBuilder } from './sparseSymmetric';

const pedigree = (animals: readonly WithParents[]): Pedigree => {
  const read = pedigreeOf(animals);
  if (read.kind !== 'pedigree') throw new Error('a loop');
  return read.pedigree;
};
const of = (id: string, sireId?: string, damId?: string): WithParents => ({ id, sireId, damId });

/** The inverse of a dense matrix by Gauss and Jordan; an equation that says nothing new is left out of it. */
function dense(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length;
  const m = matrix.map((row, i) => [...row, ...matrix.map((_, j) => (i === j ? 1 : 0))]);
  for (let k = 0; k < n; k++) {
    const pivot = (m[k] as number[])[k] as number;
    if (Math.abs(pivot) < 1e-9) {
      for (let i = 0; i < n; i++)
        for (let j = 0; j < 2 * n; j++) if (i === k || j === k || j === n + k) (m[i] as number[])[j] = 0;
      continue;
    }
    const row = (m[k] as number[]).map((v) => v / pivot);
    m[k] = row;
    for (let i = 0; i < n; i++) {
      const factor = (m[i] as number[])[k] as number;
      if (i !== k && factor !== 0) m[i] = (m[i] as number[]).map((v, j) => v - factor * (row[j] as number));
    }
  }
  return m.map((row) => row.slice(n));
}
const product = (a: readonly (readonly number[])[], b: readonly number[]): number[] =>
  a.map((row) => row.reduce((sum, v, j) => sum + v * (b[j] as number), 0));

/** The same equations, dense, from the relationship matrix itself. */
function byHand(ped: Pedigree, records: ModelRecords, { heritability, other }: VarianceShares) {
  const n = ped.sire.length;
  const inbreeding = inbreedingOf(ped);
  const table = kinshipTable(ped, inbreeding, ped.ids, ped.ids);
  const relationship = ped.ids.map((_, i) =>
    ped.ids.map((__, j) => (i === j ? 1 + (inbreeding[i] as number) : 2 * (table.values[i * n + j] as number))),
  );
  const inverse = dense(relationship);
  const error = 1 - heritability - other;
  const levels = records.fixed.map((f) => Math.max(...f) + 1);
  const columns = levels.flatMap((count, f) =>
    Array.from({ length: count }, (_, level) => level)
      .filter((level) => f === 0 || level > 0)
      .map((level) => ({ f, level })),
  );
  const others = records.other ? Math.max(...records.other) + 1 : 0;
  const size = columns.length + n + others;
  const matrix = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const right = new Array<number>(size).fill(0);
  records.value.forEach((y, r) => {
    const row = new Array<number>(size).fill(0);
    columns.forEach(({ f, level }, c) => {
      if (records.fixed[f]?.[r] === level) row[c] = 1;
    });
    row[columns.length + (records.animal[r] as number)] = 1;
    if (records.other) row[columns.length + n + (records.other[r] as number)] = 1;
    row.forEach((a, i) => {
      right[i] = (right[i] as number) + a * y;
      row.forEach((b, j) => ((matrix[i] as number[])[j] = ((matrix[i] as number[])[j] as number) + a * b));
    });
  });
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [p, q] = [columns.length + i, columns.length + j];
      const cell = matrix[p] as number[];
      cell[q] = (cell[q] as number) + ((inverse[i] as number[])[j] as number) * (error / heritability);
    }
  for (let k = 0; k < others; k++) {
    const i = columns.length + n + k;
    (matrix[i] as number[])[i] = ((matrix[i] as number[])[i] as number) + error / other;
  }
  const inverted = dense(matrix);
  const answer = product(inverted, right);
  return {
    values: answer.slice(columns.length, columns.length + n),
    reliability: relationship.map(
      (row, i) =>
        1 -
        ((error / heritability) * ((inverted[columns.length + i] as number[])[columns.length + i] as number)) /
          (row[i] as number),
    ),
  };
}

const close = (a: ArrayLike<number>, b: ArrayLike<number>): void =>
  Array.from(a).forEach((v, i) => expect(v).toBeCloseTo(b[i] as number, 7));

it('three records of unrelated animals shrink to the heritability of what is left of the mean', () => {
  // h2 = .25: lambda = 3. Mean 30; u = (y - mean) / (1 + 3) for each, as their sum is 0.
  const ped = pedigree([of('a'), of('b'), of('c')]);
  const answer = solveMixedModel(
    ped,
    inbreedingOf(ped),
    {
      animal: Int32Array.from(['a', 'b', 'c'], (id) => ped.indexOf.get(id) as number),
      value: Float64Array.of(26, 30, 34),
      fixed: [new Int32Array(3)],
    },
    { heritability: 0.25, other: 0 },
  );
  close(
    ['a', 'b', 'c'].map((id) => answer.values[ped.indexOf.get(id) as number] as number),
    [-1, 0, 1],
  );
  expect(answer.fixed[0]?.[0]).toBeCloseTo(30, 9);
  // y'y - b'X'y - u'Z'y = 2732 - 2700 - 8 = 24 over 3 - 1.
  expect(answer.errorVariance).toBeCloseTo(12, 9);
  expect(answer.geneticVariance).toBeCloseTo(4, 9);
});

it('an animal without a record has its parents’ mean', () => {
  const ped = pedigree([of('s'), of('d'), of('y', 's', 'd'), of('z', 's', 'd')]);
  const at = (id: string): number => ped.indexOf.get(id) as number;
  const answer = solveMixedModel(
    ped,
    inbreedingOf(ped),
    {
      animal: Int32Array.of(at('s'), at('d'), at('z')),
      value: Float64Array.of(40, 50, 48),
      fixed: [new Int32Array(3)],
    },
    { heritability: 0.4, other: 0 },
  );
  const value = (id: string): number => answer.values[at(id)] as number;
  expect(value('y')).toBeCloseTo((value('s') + value('d')) / 2, 10);
  expect(answer.reliability[at('y')]).toBeLessThan(answer.reliability[at('z')] as number);
});

/** A pedigree with inbreeding: parents are drawn from all before, kin among them. */
const anyCase = fc
  .record({
    parents: fc.array(fc.tuple(fc.nat(12), fc.nat(12), fc.boolean(), fc.boolean()), { minLength: 4, maxLength: 14 }),
    records: fc.array(
      fc.record({
        animal: fc.nat(99),
        value: fc.integer({ min: 20, max: 60 }),
        group: fc.nat(2),
        year: fc.nat(1),
        other: fc.nat(3),
      }),
      { minLength: 3, maxLength: 20 },
    ),
    hasOther: fc.boolean(),
    hasYear: fc.boolean(),
  })
  .map(({ parents, records, hasOther, hasYear }) => {
    const animals = parents.map(([s, d, hasSire, hasDam], i): WithParents => {
      const [sire, dam] = [s % Math.max(1, i), d % Math.max(1, i)];
      // Of one parity each: nobody is sire of one and dam of another.
      const isSire = (x: number): boolean => x % 2 === 0;
      return of(
        `${i}`,
        i > 0 && hasSire && isSire(sire) ? `${sire}` : undefined,
        i > 0 && hasDam && !isSire(dam) ? `${dam}` : undefined,
      );
    });
    const ped = pedigree(animals);
    const known: ModelRecords = {
      animal: Int32Array.from(records, (r) => r.animal % animals.length),
      value: Float64Array.from(records, (r) => r.value),
      fixed: [Int32Array.from(records, (r) => r.group), ...(hasYear ? [Int32Array.from(records, (r) => r.year)] : [])],
      ...(hasOther ? { other: Int32Array.from(records, (r) => r.other) } : {}),
    };
    return { ped, records: known, shares: { heritability: 0.25, other: hasOther ? 0.1 : 0 } };
  });

it('values and reliabilities are those of the dense equations, with inbreeding, two effects and a litter', () => {
  fc.assert(
    fc.property(anyCase, ({ ped, records, shares }) => {
      const answer = solveMixedModel(ped, inbreedingOf(ped), records, shares);
      const expected = byHand(ped, records, shares);
      close(answer.values, expected.values);
      close(answer.reliability, expected.reliability);
    }),
    { numRuns: 120 },
  );
});

it('does not hang on the order the animals are given in', () => {
  fc.assert(
    fc.property(anyCase, fc.infiniteStream(fc.nat()), ({ ped, records, shares }, picks) => {
      const shuffled = ped.ids
        .map((id, i) => ({
          key: picks.next().value as number,
          animal: of(id, ped.ids[ped.sire[i] as number], ped.ids[ped.dam[i] as number]),
        }))
        .sort((a, b) => a.key - b.key)
        .map(({ animal }) => animal);
      const other = pedigree(shuffled);
      const moved = {
        ...records,
        animal: records.animal.map((i) => other.indexOf.get(ped.ids[i] as string) as number),
      };
      const [a, b] = [
        solveMixedModel(ped, inbreedingOf(ped), records, shares),
        solveMixedModel(other, inbreedingOf(other), moved, shares),
      ];
      close(
        ped.ids.map((id) => b.values[other.indexOf.get(id) as number] as number),
        a.values,
      );
    }),
    { numRuns: 40 },
  );
});

it('answers and inverts a sparse matrix as a dense one', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(11), fc.nat(11), fc.integer({ min: -5, max: 5 })), { maxLength: 40 }),
      (cells) => {
        const size = 12;
        const full = Array.from({ length: size }, (_, i) =>
          Array.from({ length: size }, (__, j) => (i === j ? 60 : 0)),
        );
        const builder = new SymmetricBuilder(size, 1);
        for (let i = 0; i < size; i++) builder.add(i, i, 60);
        for (const [i, j, v] of cells) {
          if (i === j) continue;
          builder.add(i, j, v);
          (full[i] as number[])[j] = ((full[i] as number[])[j] as number) + v;
          (full[j] as number[])[i] = ((full[j] as number[])[i] as number) + v;
        }
        const factor = factorise(builder.build());
        const inverse = dense(full);
        const right = Float64Array.from({ length: size }, (_, i) => i - 3);
        close(solve(factor, right), product(inverse, [...right]));
        close(
          inverseDiagonal(factor),
          inverse.map((row, i) => row[i] as number),
        );
      },
    ),
    { numRuns: 100 },
  );
});

describe('a herd too large to factor', () => {
  /** Six generations of so many, with records in groups of ten and litters of two. */
  const herd = (size: number) => {
    const random = seededRandom(17);
    const animals = Array.from({ length: 6 * size }, (_, i): WithParents => {
      const from = Math.floor(i / size) - 1;
      if (from < 0) return of(`a${i}`);
      const parent = (isMale: boolean) => `a${from * size + Math.floor(random.next() * (isMale ? size / 10 : size))}`;
      return of(
        `a${i}`,
        random.chance(0.9) ? parent(true) : undefined,
        random.chance(0.95) ? parent(false) : undefined,
      );
    });
    const ped = pedigree(animals);
    const recorded = animals.map((_, i) => i).filter((i) => i >= size && random.chance(0.8));
    const records: ModelRecords = {
      animal: Int32Array.from(recorded, (i) => ped.indexOf.get(`a${i}`) as number),
      value: Float64Array.from(recorded, () => 30 + 4 * random.normal(0, 1)),
      fixed: [Int32Array.from(recorded, (i) => Math.floor(i / 10))],
      other: Int32Array.from(recorded, (i) => Math.floor(i / 2)),
    };
    return { ped, records, inbreeding: inbreedingOf(ped) };
  };
  const shares = { heritability: 0.25, other: 0.1 };
  it('has the same values by rounds, and reliabilities near the exact ones', () => {
    const { ped, records, inbreeding } = herd(60);
    const exact = solveMixedModel(ped, inbreeding, records, shares);
    const near = solveMixedModel(ped, inbreeding, records, shares, 0);
    expect([exact.isExact, near.isExact]).toEqual([true, false]);
    near.values.forEach((v, i) => expect(v).toBeCloseTo(exact.values[i] as number, 5));
    expect(near.errorVariance).toBeCloseTo(exact.errorVariance as number, 6);
    const off = near.reliability.map((r, i) => r - (exact.reliability[i] as number));
    const mean = off.reduce((s, d) => s + d, 0) / off.length;
    // Right on average, and no single one told as another word than its neighbour's.
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(off.filter((d) => Math.abs(d) > 0.12).length / off.length).toBeLessThan(0.05);
  });
});
