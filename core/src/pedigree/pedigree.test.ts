import fc from 'fast-check';
import { day } from '../tests/builders';
import { checkParent, isAncestor, type Pedigreed } from '.';

const animal = (id: string, change: Partial<Pedigreed> = {}): Pedigreed => ({
  id,
  species: 'sheep',
  sex: 'female',
  bornOn: undefined,
  damId: undefined,
  sireId: undefined,
  ...change,
});

it('finds an ancestor many generations up, without falling over', () => {
  const line = new Map(
    Array.from({ length: 20_000 }, (_, i) => [String(i), animal(String(i), i > 0 ? { damId: String(i - 1) } : {})]),
  );
  expect(isAncestor('0', '19999', (id) => line.get(id))).toBe(true);
  expect(isAncestor('19999', '0', (id) => line.get(id))).toBe(false);
});

it('ends on a loop that is already there', () => {
  const loop = new Map([animal('a', { damId: 'b' }), animal('b', { damId: 'a' })].map((a) => [a.id, a]));
  expect(isAncestor('c', 'a', (id) => loop.get(id))).toBe(false);
});

it('lets a castrate be a sire and no dam', () => {
  const find = (): Pedigreed => animal('p', { sex: 'castrate' });
  expect(checkParent(animal('c'), 'p', 'sire', find)).toBeUndefined();
  expect(checkParent(animal('c'), 'p', 'dam', find)).toMatchObject({ code: 'parent-of-wrong-sex', sex: 'castrate' });
});

it('refuses a parent born on the same day', () => {
  const same = { bornOn: day('2026-04-01') };
  expect(checkParent(animal('c', same), 'p', 'dam', () => animal('p', same))?.code).toBe('parent-not-older');
});

it('says the same as a walk through all ancestors, on random pedigrees', () => {
  const pedigrees = fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 2, maxLength: 25 });
  fc.assert(
    fc.property(pedigrees, (parents) => {
      const all = new Map(
        parents.map(([d, s], i) => [
          String(i),
          animal(String(i), i === 0 ? {} : { damId: String(d % i), sireId: String(s % i) }),
        ]),
      );
      // Slow and obvious: the set of ancestors by repeated union.
      const slow = (id: string): Set<string> => {
        const own = [all.get(id)?.damId, all.get(id)?.sireId].filter((p): p is string => p !== undefined);
        return new Set(own.flatMap((p) => [p, ...slow(p)]));
      };
      const last = String(parents.length - 1);
      if (parents.length > 12) return;
      const ancestors = slow(last);
      for (const id of all.keys()) expect(isAncestor(id, last, (x) => all.get(x))).toBe(ancestors.has(id));
    }),
  );
});
