import fc from 'fast-check';
import { drawInTheOpen, openValues, splitByHand, splitPen, type SplitHead, type SplitOutlet } from '.';

const columnsOf = (outlets: readonly SplitOutlet[]): (number | 'stays')[] => [...outlets.map((_, i) => i), 'stays'];

/** Every way to send every head somewhere. */
function byHand(heads: readonly SplitHead[], outlets: readonly SplitOutlet[]): number | undefined {
  const best = { total: -Infinity };
  const counts = outlets.map(() => 0);
  const go = (h: number, sum: number): void => {
    const head = heads[h];
    if (!head) {
      const isIn = outlets.every(
        (o, i) =>
          counts[i] === 0 || ((counts[i] as number) >= o.least && (counts[i] as number) <= (o.most ?? Infinity)),
      );
      const trips = outlets.reduce((s, o, i) => s + (counts[i] === 0 ? 0 : o.tripMinor), 0);
      if (isIn) best.total = Math.max(best.total, sum - trips);
      return;
    }
    for (const column of columnsOf(outlets)) {
      const value = column === 'stays' ? head.stays : head.values[column];
      if (value === undefined) continue;
      if (column !== 'stays') counts[column] = (counts[column] as number) + 1;
      go(h + 1, sum + value);
      if (column !== 'stays') counts[column] = (counts[column] as number) - 1;
    }
  };
  go(0, 0);
  return best.total === -Infinity ? undefined : best.total;
}

const outletArb = fc
  .record({
    tripMinor: fc.integer({ min: 0, max: 60 }),
    least: fc.integer({ min: 0, max: 4 }),
    room: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
  })
  .map(({ tripMinor, least, room }) => ({ tripMinor, least, most: room === undefined ? undefined : least + room }));
const valueArb = fc.option(fc.integer({ min: 0, max: 120 }), { nil: undefined, freq: 4 });

describe('the pen, split', () => {
  it('brings what trying every way brings', () => {
    const pen = fc.integer({ min: 1, max: 3 }).chain((k) =>
      fc.record({
        outlets: fc.array(outletArb, { minLength: k, maxLength: k }),
        heads: fc.array(fc.record({ values: fc.array(valueArb, { minLength: k, maxLength: k }), stays: valueArb }), {
          minLength: 1,
          maxLength: 6,
        }),
      }),
    );
    fc.assert(
      fc.property(pen, (drawn) => {
        const heads = drawn.heads.map((h, i) => ({ id: `h${i}`, ...h }));
        const outlets = drawn.outlets.map((o, i) => ({ id: `o${i}`, ...o }));
        const slow = byHand(heads, outlets);
        const found = splitPen(heads, outlets);
        if (slow === undefined) expect(found.kind).toBe('no-split');
        else expect(found).toMatchObject({ kind: 'split', best: { totalMinor: slow } });
      }),
      { numRuns: 400 },
    );
  });

  const outlets: SplitOutlet[] = [
    { id: 'grid', tripMinor: 20, least: 2, most: 3 },
    { id: 'market', tripMinor: 15, least: 1 },
  ];
  const head = (id: string, grid: number, market: number, stays: number | undefined): SplitHead => ({
    id,
    values: [grid, market],
    stays,
  });

  it('pays a trip once, fills a least lot only where that pays, and says what each outlet alone would lose', () => {
    const heads = [head('a', 112, 106, 100), head('b', 104, 103, 113), head('c', 109, 108, 95)];
    // a and c by grid, b stays: 112 + 109 + 113 - 20 = 314. All by grid 305; all to market 302.
    expect(splitPen(heads, outlets)).toEqual({
      kind: 'split',
      best: { totalMinor: 314, columns: [0, 'stays', 0], used: [0] },
      alone: [
        { outlet: 0, totalMinor: 305, losesMinor: 9 },
        { outlet: 1, totalMinor: 302, losesMinor: 12 },
      ],
    });
  });

  it('made by hand brings what it brings, and says which load would not be taken', () => {
    const heads = [head('a', 112, 106, 100), head('b', 104, 103, 113), head('c', 109, 108, 95)];
    expect(splitByHand(heads, outlets, [0, 'stays', 0])).toEqual({ totalMinor: 314, broken: [] });
    expect(splitByHand(heads, outlets, [0, 'stays', 1])).toEqual({
      totalMinor: 112 + 113 + 108 - 20 - 15,
      broken: [{ outlet: 0, heads: 1, isOver: false }],
    });
  });

  it('names heads that may go nowhere, and none where only the room is short', () => {
    const shut = { id: 'x', values: [undefined, undefined], stays: undefined };
    expect(splitPen([head('a', 1, 1, 1), shut], outlets)).toEqual({ kind: 'no-split', headIds: ['x'] });
    const bound = (id: string): SplitHead => ({ id, values: [5], stays: undefined });
    const small = [{ id: 'o', tripMinor: 0, least: 1, most: 2 }];
    expect(splitPen(['a', 'b', 'c'].map(bound), small)).toEqual({ kind: 'no-split', headIds: [] });
  });

  it('takes no more than six outlets', () => {
    const seven = Array.from({ length: 7 }, (_, i) => ({ id: `o${i}`, tripMinor: 0, least: 0 }));
    expect(() => splitPen([], seven)).toThrow('at most 6 outlets, not 7');
  });
});

describe('drawn in the open', () => {
  const pen = [0.5, 0.9, 0.9, 0.2, 1].map((chance, i) => ({ id: `h${i}`, chance }));

  it('brings in the likeliest until the wanted number is there for all that chance leaves open', () => {
    // 1 + .9 = 1.9 less sqrt(.09) = 1.6; and .9 more: 2.8 less sqrt(.18) = 2.376.
    expect(drawInTheOpen(pen, 2)).toEqual({
      ids: ['h4', 'h1', 'h2'],
      expected: 2.8,
      sd: expect.closeTo(Math.sqrt(0.18), 12) as number,
      isShort: false,
    });
    expect(drawInTheOpen(pen, 1).ids).toEqual(['h4']);
  });

  it('brings in none for none, and all where all are too few, and says so', () => {
    expect(drawInTheOpen(pen, 0)).toMatchObject({ ids: [], isShort: false });
    expect(drawInTheOpen(pen, 4)).toMatchObject({ ids: ['h4', 'h1', 'h2', 'h0', 'h3'], isShort: true });
    expect(drawInTheOpen(pen.slice(4), 1)).toMatchObject({ ids: ['h4'], isShort: false });
  });
});

describe('where a head may go', () => {
  const [wanted, outside, unpriced] = [
    { minor: 1_000, isWanted: true },
    { minor: 1_400, isWanted: false },
    { minor: undefined, isWanted: true },
  ];

  it('is to those that want it as it is, or wherever it has a price once somebody asks', () => {
    expect(openValues([wanted, outside, unpriced], 900, false)).toEqual([1_000, undefined, undefined]);
    expect(openValues([wanted, outside, unpriced], 900, true)).toEqual([1_000, 1_400, undefined]);
  });

  it('is nowhere but here while it may stay, and wherever it has a price once it may not', () => {
    expect(openValues([outside], 900, false)).toEqual([undefined]);
    expect(openValues([outside, unpriced], undefined, false)).toEqual([1_400, undefined]);
    expect(openValues([wanted, outside], undefined, false)).toEqual([1_000, undefined]);
  });
});
