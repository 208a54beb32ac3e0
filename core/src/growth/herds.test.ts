import fc from 'fast-check';
import type { Day } from '../calendar';
import { Herds, type GrowthGroup } from './herds';
import type { WithGain } from './notGrowing';

const animal = (id: string, bornOn: number, kgPerDay: number | undefined, groupId = 'hill'): WithGain =>
  ({
    id,
    species: 'sheep',
    sex: 'female',
    bornOn: bornOn as Day,
    groupId,
    gain: kgPerDay === undefined ? { kind: 'no-answer', reason: 'no-readings' } : { kind: 'gain', kgPerDay },
  }) as unknown as WithGain;

const inOrder = (groups: readonly GrowthGroup[]): GrowthGroup[] => [...groups].sort((a, b) => (a.key < b.key ? -1 : 1));

it('holds a gain against half the middle one of its contemporaries, itself among them', () => {
  const herds = new Herds();
  for (const [id, gain] of [
    ['a', 0.1],
    ['b', 0.3],
    ['c', 0.2],
  ] as const)
    herds.set(id, animal(id, 10, gain));
  expect(herds.groupOf('a')?.lineKgPerDay).toBeCloseTo(0.1);
  herds.set('c', animal('c', 10, 0.4));
  expect(herds.groupOf('a')?.lineKgPerDay).toBeCloseTo(0.15);
  herds.set('c', animal('c', 10, undefined));
  expect(herds.groupOf('a')?.lineKgPerDay).toBeCloseTo(0.1);
  expect(herds.groupOf('c')?.members.map((m) => m.id)).toEqual(['a', 'b', 'c']);
});

it('is another group for whoever keeps figures by it, when one of it is another', () => {
  const herds = new Herds();
  herds.set('a', animal('a', 10, 0.1));
  herds.set('far', animal('far', 100, 0.1));
  const [near, far] = [herds.groupOf('a'), herds.groupOf('far')];
  herds.set('a', animal('a', 10, 0.2));
  expect(herds.groupOf('a')).not.toBe(near);
  expect(herds.groupOf('far')).toBe(far);
});

it('is after any changes what it would be from scratch', () => {
  const change = fc.record({
    id: fc.integer({ min: 0, max: 11 }),
    bornOn: fc.constantFrom(0, 20, 36, 37, 80),
    gain: fc.option(fc.constantFrom(0.1, 0.1, 0.2, 0.25, 0.3), { nil: undefined }),
    group: fc.constantFrom('hill', 'yard'),
    isOut: fc.boolean(),
    isAsked: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(change, { maxLength: 60 }), (changes) => {
      const herds = new Herds();
      const now = new Map<string, WithGain>();
      for (const { id, bornOn, gain, group, isOut, isAsked } of changes) {
        const name = `a${id}`;
        const one = isOut ? undefined : animal(name, bornOn, gain, group);
        herds.set(name, one);
        if (one) now.set(name, one);
        else now.delete(name);
        if (isAsked) herds.groups();
      }
      const afresh = new Herds();
      for (const [id, one] of now) afresh.set(id, one);
      expect(inOrder(herds.groups())).toEqual(inOrder(afresh.groups()));
    }),
    { numRuns: 300 },
  );
});
