import fc from 'fast-check';
import { chooseTogether, compareTwo, seededRandom, togetherCurve, type TogetherQuestion } from '..';

const f = (n: number, of: (i: number, j: number) => number): Float64Array =>
  Float64Array.from({ length: n * n }, (_, c) => of(Math.floor(c / n), c % n));

/** Any question: indices, kinships that are alike both ways, sires and mates. */
function asked(seed: number, n: number, change: Partial<TogetherQuestion> = {}): TogetherQuestion {
  const random = seededRandom(seed);
  const half = f(n, () => random.next() ** 3 / 2);
  const kinship = f(n, (i, j) => (i === j ? 0.5 : (half[Math.min(i, j) * n + Math.max(i, j)] as number)));
  const candidates = Array.from({ length: n }, (_, i) => ({
    id: String(i),
    index: 50 + 10 * random.normal(0, 1),
    sireId: random.chance(0.2) ? undefined : `s${random.whole(0, 3)}`,
  })).sort((a, b) => b.index - a.index);
  return {
    candidates,
    kinship,
    withMates: Float64Array.from({ length: n }, () => random.next() / 4),
    keep: random.whole(1, n),
    pointsPerPercent: random.next() * 4,
    ...change,
  };
}

/** The objective as methods.md writes it. */
function merit(q: TogetherQuestion, chosen: readonly number[]): number {
  const n = q.candidates.length;
  const mean = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0) / list.length;
  const pairs = chosen.flatMap((i, a) => chosen.slice(0, a).map((j) => q.kinship[i * n + j] as number));
  const means = [
    ...(pairs.length > 0 ? [mean(pairs)] : []),
    ...(q.withMates ? [mean(chosen.map((i) => q.withMates?.[i] as number))] : []),
  ];
  return mean(chosen.map((i) => q.candidates[i]?.index as number)) - 100 * q.pointsPerPercent * (mean(means) || 0);
}

function* choices(n: number, k: number, from = 0): Generator<number[]> {
  if (k === 0) yield [];
  else for (let i = from; i <= n - k; i++) for (const rest of choices(n, k - 1, i + 1)) yield [i, ...rest];
}
const isWithin = (q: TogetherQuestion, chosen: readonly number[]): boolean => {
  const sires = chosen.flatMap((i) => q.candidates[i]?.sireId ?? []);
  return q.sireCap === undefined || sires.every((s) => sires.filter((t) => t === s).length <= (q.sireCap as number));
};
const bestOfAll = (q: TogetherQuestion): number =>
  [...choices(q.candidates.length, q.keep)]
    .filter((chosen) => isWithin(q, chosen))
    .reduce((best, chosen) => Math.max(best, merit(q, chosen)), -Infinity);

describe('the best to keep together', () => {
  it('are as good as any of all choices, with and without a cap and mates', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 11 }),
        fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
        fc.boolean(),
        (seed, n, sireCap, hasMates) => {
          const q = asked(seed, n, { sireCap, ...(hasMates ? {} : { withMates: undefined }) });
          const best = bestOfAll(q);
          const answer = chooseTogether(q);
          if (best === -Infinity) expect(answer).toMatchObject({ kind: 'not-possible' });
          else if (answer.kind === 'chosen') {
            expect(answer.chosen.length).toBe(q.keep);
            expect(isWithin(q, answer.chosen)).toBe(true);
            expect(merit(q, answer.chosen)).toBeCloseTo(best, 8);
          } else throw new Error('a choice was possible');
        },
      ),
      { numRuns: 150 },
    );
  });
  it('are exact at fifteen', () => {
    for (const seed of [3, 14]) {
      const q = asked(seed, 15, { keep: 7 });
      const answer = chooseTogether(q);
      expect(answer.kind === 'chosen' && merit(q, answer.chosen)).toBeCloseTo(bestOfAll(q), 8);
    }
  });
  it('are the top of the list where kinship costs nothing, within the cap', () => {
    const q = asked(5, 40, { keep: 12, pointsPerPercent: 0 });
    const top = chooseTogether(q);
    expect(top.kind === 'chosen' && top.chosen).toEqual(Array.from({ length: 12 }, (_, i) => i));
    const capped = chooseTogether({ ...q, keep: 8, sireCap: 2 });
    const greedy: number[] = [];
    q.candidates.forEach((_, i) => {
      if (greedy.length < 8 && isWithin({ ...q, sireCap: 2 }, [...greedy, i])) greedy.push(i);
    });
    expect(capped.kind === 'chosen' && capped.chosen).toEqual(greedy);
  });
  it('by exchange come near the exact ones', () => {
    // The same question asked with candidates nobody would choose, so that there are too many for the exact way.
    const q = asked(8, 20, { keep: 6, sireCap: undefined, withMates: undefined });
    const more = [
      ...q.candidates,
      ...Array.from({ length: 10 }, (_, i) => ({ id: `x${i}`, index: -900, sireId: undefined })),
    ];
    const wide = f(30, (i, j) => (i < 20 && j < 20 ? (q.kinship[i * 20 + j] as number) : 0));
    const [exact, exchanged] = [chooseTogether(q), chooseTogether({ ...q, candidates: more, kinship: wide })];
    if (exact.kind !== 'chosen' || exchanged.kind !== 'chosen') throw new Error('both are possible');
    expect([exact.isExact, exchanged.isExact]).toEqual([true, false]);
    expect(exchanged.chosen).toEqual(exact.chosen);
  });
  it('give means worked as by hand', () => {
    // Two of three: half sibs .125 with each other, mates at .01 and .03.
    const q: TogetherQuestion = {
      candidates: [60, 58, 40].map((index, i) => ({ id: String(i), index, sireId: undefined })),
      kinship: f(3, (i, j) => (i === j ? 0.5 : 0.125)),
      withMates: Float64Array.of(0.01, 0.03, 0.9),
      keep: 2,
      pointsPerPercent: 1,
    };
    const answer = chooseTogether(q);
    expect(answer).toMatchObject({ chosen: [0, 1], meanIndex: 59, amongThem: 0.125, isExact: true });
    expect(answer.kind === 'chosen' && answer.withMates).toBeCloseTo(0.02, 12);
  });
  it('say how many are possible where the cap cannot be met', () => {
    const q = asked(5, 12, { keep: 12, sireCap: 1 });
    const sires = new Set(q.candidates.flatMap((c) => c.sireId ?? [])).size;
    const most = sires + q.candidates.filter((c) => c.sireId === undefined).length;
    expect(chooseTogether(q)).toEqual({ kind: 'not-possible', most });
    expect(togetherCurve(q)).toEqual({ kind: 'not-possible', most });
  });
  it('along the curve lose index and kinship together', () => {
    const curve = togetherCurve(asked(21, 18, { keep: 6, sireCap: undefined }));
    if ('kind' in curve) throw new Error('all are possible');
    expect(curve.length).toBeGreaterThan(2);
    curve.slice(1).forEach(({ answer }, i) => {
      const before = curve[i]?.answer;
      expect(answer.meanIndex).toBeLessThanOrEqual((before?.meanIndex ?? 0) + 1e-9);
    });
  });
});

it.each([
  // Differences of 6 with errors 3 and 4: SE 5, Phi(1.2) = .8849.
  [{ index: 56, standardError: 3 }, { index: 50, standardError: 4 }, 6, 5, 0.8849],
  [{ index: 50, standardError: 0 }, { index: 50, standardError: 0 }, 0, 0, 0.5],
  [{ index: 51, standardError: 0 }, { index: 50, standardError: 0 }, 1, 0, 1],
])('two side by side %#', (a, b, difference, standardError, chance) => {
  const found = compareTwo(a, b);
  expect([found.difference, found.standardError]).toEqual([difference, standardError]);
  expect(found.chanceFirst).toBeCloseTo(chance, 4);
});
