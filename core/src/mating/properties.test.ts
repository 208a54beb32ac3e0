import fc from 'fast-check';
import { addDays, dayOf, momentAt, type Day } from '../calendar';
import { SPECIES_TABLE } from '../species';
import {
  assign,
  fewestMales,
  HEAT_SIGN_NAMES,
  heatsSeen,
  nextHeats,
  NO_MALE,
  serviceTiming,
  serviceWindow,
  shareTaken,
  spells,
  type HeatLook,
  type Service,
} from '.';

const { goat, cattle, rabbit } = SPECIES_TABLE;
const START = dayOf('2026-01-01');
const on = (days: number): Day => addDays(START, days);

const looks: fc.Arbitrary<HeatLook[]> = fc.array(
  fc.record({
    at: fc.integer({ min: 0, max: 60 * 24 * 60 }).map((minutes) => momentAt(START, minutes)),
    signs: fc.uniqueArray(fc.constantFrom(...HEAT_SIGN_NAMES), { maxLength: 3 }),
  }),
  { maxLength: 25 },
);

describe('heats, of whatever looks', () => {
  it('are the same in whichever order the looks were written down', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            at: fc.integer({ min: 0, max: 60 * 24 * 60 }).map((minutes) => momentAt(START, minutes)),
            signs: fc.uniqueArray(fc.constantFrom(...HEAT_SIGN_NAMES), { maxLength: 3 }),
          }),
          // Two looks of one minute have no order to be told by.
          { maxLength: 25, selector: (l) => l.at },
        ),
        (all) => {
          expect(heatsSeen(all.toReversed(), goat)).toEqual(heatsSeen(all, goat));
        },
      ),
      { seed: 21 },
    );
  });

  it('follow on each other, begin at a look, and stand on telling signs', () => {
    fc.assert(
      fc.property(looks, (all) => {
        const heats = heatsSeen(all, cattle);
        heats.forEach((heat, i) => {
          expect(all.some((l) => l.at === heat.seenAt)).toBe(true);
          expect(heat.lastSeenAt).toBeGreaterThanOrEqual(heat.seenAt);
          if (heat.notYetAt !== undefined) expect(heat.notYetAt).toBeLessThan(heat.seenAt);
          if (!heat.isStanding) expect(heat.signs.length).toBeGreaterThanOrEqual(cattle.mating.signsNeeded);
          const next = heats[i + 1];
          if (next) expect(next.seenAt).toBeGreaterThan(heat.lastSeenAt);
        });
      }),
      { seed: 22 },
    );
  });

  it('a stricter holding sees no more heats', () => {
    fc.assert(
      fc.property(looks, fc.integer({ min: 1, max: 4 }), (all, signsNeeded) => {
        const by = (n: number) => heatsSeen(all, { mating: { ...cattle.mating, signsNeeded: n } }).length;
        expect(by(signsNeeded + 1)).toBeLessThanOrEqual(by(signsNeeded));
      }),
      { seed: 23 },
    );
  });

  it('a service is in one stretch of its window, and the stretches follow in order', () => {
    const order = ['too-early', 'early', 'best', 'late', 'too-late'];
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1439 }),
        fc.array(fc.integer({ min: -600, max: 6000 }), { minLength: 2, maxLength: 8 }),
        fc.boolean(),
        (minute, offsets, isMorningEvening) => {
          const onset = momentAt(START, minute);
          const rules = {
            ...cattle,
            mating: {
              ...cattle.mating,
              heatSchool: isMorningEvening ? ('morning-evening' as const) : ('hours' as const),
            },
          };
          const window = serviceWindow(onset, rules);
          if (!window) throw new Error('cattle have hours');
          const places = [...offsets]
            .sort((a, b) => a - b)
            .map((minutes) => order.indexOf(serviceTiming(window, momentAt(START, minute + minutes))));
          expect(places).toEqual([...places].sort((a, b) => a - b));
        },
      ),
      { seed: 24 },
    );
  });

  it('the next heats lie behind each other and widen', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), (days) => {
        const windows = nextHeats(on(days), goat, 5);
        windows.forEach((w, i) => {
          expect([w.opens, w.bestFrom, w.bestTo, w.closes]).toEqual(
            [w.opens, w.bestFrom, w.bestTo, w.closes].sort((a, b) => a - b),
          );
          const before = windows[i - 1];
          if (before) expect(w.closes - w.opens).toBeGreaterThan(before.closes - before.opens);
        });
      }),
      { seed: 25 },
    );
  });
});

const service = fc.record({
  on: fc.integer({ min: 0, max: 400 }).map(on),
  at: fc.constant(undefined),
  way: fc.constant('hand' as const),
  maleIds: fc.constantFrom(['a'], ['b'], ['a', 'b']),
});
const history = fc.record({
  services: fc.array(service, { maxLength: 12 }),
  births: fc.array(fc.record({ on: fc.integer({ min: 0, max: 600 }).map(on), young: fc.integer({ min: 1, max: 4 }) }), {
    maxLength: 4,
  }),
  heatDays: fc.array(fc.integer({ min: 0, max: 450 }).map(on), { maxLength: 8 }),
  emptyOn: fc.array(fc.integer({ min: 0, max: 500 }).map(on), { maxLength: 3 }),
});

describe('spells, of whatever services', () => {
  it.each([
    ['goat', goat],
    ['rabbit', rabbit],
  ] as const)('hold every service of a %s once, in order, apart from each other', (_, settings) => {
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 900 }), (of, days) => {
        const found = spells(of, settings, on(days));
        const inside: Service[] = found.flatMap((s) => [...s.services]);
        expect(inside).toHaveLength(of.services.length);
        expect(inside.map((s) => s.on)).toEqual(of.services.map((s) => s.on).sort((a, b) => a - b));
        found.forEach((s, i) => {
          const next = found[i + 1];
          if (next) expect(next.on - s.lastOn).toBeGreaterThan(4);
          // A birth or a return is told only of what lies after the service.
          if ('on' in s.outcome) expect(s.outcome.on).toBeGreaterThan(s.lastOn);
        });
      }),
      { seed: 26 },
    );
  });

  it('never give one birth to two spells', () => {
    fc.assert(
      fc.property(history, (of) => {
        // Births three months apart, so that none can be taken for another.
        const births = of.births.map((b, i) => ({ ...b, on: on(160 + 90 * i) }));
        const born = spells({ ...of, births }, goat, on(1200)).flatMap((s) =>
          s.outcome.kind === 'born' ? [s.outcome.on] : [],
        );
        expect(new Set(born).size).toBe(born.length);
      }),
      { seed: 27 },
    );
  });

  it('give a share between its own bounds', () => {
    fc.assert(
      fc.property(history, (of) => {
        const share = shareTaken(spells(of, goat, on(1200)));
        if (!share) return;
        expect(share.low).toBeLessThanOrEqual(share.share + 1e-12);
        expect(share.high).toBeGreaterThanOrEqual(share.share - 1e-12);
      }),
      { seed: 28 },
    );
  });
});

const problem = fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 4 })).chain(([females, males]) =>
  fc.record({
    females: fc.constant(females),
    capacities: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: males, maxLength: males }),
    costs: fc
      .array(fc.oneof(fc.integer({ min: 0, max: 20 }), fc.constant(Infinity)), {
        minLength: females * males,
        maxLength: females * males,
      })
      .map((cells) => Float64Array.from(cells)),
  }),
);
const served = (of: {
  readonly costs: Float64Array;
  readonly females: number;
  readonly capacities: readonly number[];
}) => {
  const found = assign(of);
  if (found.kind === 'stopped') throw new Error('nobody stopped it');
  return { count: found.maleOf.filter((m) => m !== NO_MALE).length, cost: found.cost };
};

describe('the plan', () => {
  it('comes to the same whichever female is put in first', () => {
    fc.assert(
      fc.property(problem, (of) => {
        const males = of.capacities.length;
        const rows = Array.from({ length: of.females }, (_, f) =>
          Array.from(of.costs.slice(f * males, (f + 1) * males)),
        );
        const turned = Float64Array.from(rows.toReversed().flat());
        expect(served({ ...of, costs: turned })).toEqual(served(of));
      }),
      { seed: 29 },
    );
  });

  it('serves no fewer with more room, and the same number no dearer', () => {
    fc.assert(
      fc.property(problem, fc.nat(), (of, pick) => {
        const more = of.capacities.map((c, m) => (m === pick % of.capacities.length ? c + 1 : c));
        const [before, after] = [served(of), served({ ...of, capacities: more })];
        expect(after.count).toBeGreaterThanOrEqual(before.count);
        if (after.count === before.count) expect(after.cost).toBeLessThanOrEqual(before.cost + 1e-9);
      }),
      { seed: 30 },
    );
  });

  it('with the fewest males serves as many as with all, and no fewer males could', () => {
    fc.assert(
      fc.property(problem, (of) => {
        const { count } = served(of);
        const within = (mask: readonly boolean[]): number =>
          served({ ...of, capacities: of.capacities.map((c, m) => (mask[m] ? c : 0)) }).count;
        const mask = fewestMales(of);
        expect(within(mask)).toBe(count);
        const size = mask.filter(Boolean).length;
        for (let bits = 0; bits < 2 ** of.capacities.length; bits++) {
          const other = of.capacities.map((_, m) => ((bits >> m) & 1) === 1);
          if (other.filter(Boolean).length < size) expect(within(other)).toBeLessThan(count);
        }
      }),
      { seed: 31, numRuns: 60 },
    );
  });
});
