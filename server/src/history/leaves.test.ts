import { changedLeaves, leavesOf } from './leaves';

it('names what stands at the end of each path', () => {
  expect(leavesOf({ a: 1, b: [{ c: 'x' }, { c: null, d: false }], e: undefined, f: {} })).toEqual({
    a: 1,
    'b.0.c': 'x',
    'b.1.d': false,
  });
});

it('tells what is another, what came and what went', () => {
  const before = leavesOf({ same: 1, other: 2, gone: 'x' });
  const after = leavesOf({ same: 1, other: 3, came: true });
  expect(changedLeaves(before, after)).toEqual({
    before: { other: 2, gone: 'x' },
    after: { other: 3, came: true },
  });
});
