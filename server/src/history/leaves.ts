import type { Leaf, Leaves } from '@yaylak/contract';

/** What stands at the end of each path of a thing: `{ a: [{ b: 1 }] }` is `{ 'a.0.b': 1 }`. What is not there has no path. */
export function leavesOf(thing: unknown, path = ''): Record<string, Leaf> {
  if (thing === undefined || thing === null) return {};
  if (typeof thing !== 'object') return { [path]: thing as Leaf };
  const leaves: Record<string, Leaf> = {};
  for (const [key, value] of Object.entries(thing))
    Object.assign(leaves, leavesOf(value, path === '' ? key : `${path}.${key}`));
  return leaves;
}

/** What of a thing is another, on both sides. */
export function changedLeaves(before: Leaves, after: Leaves): { readonly before: Leaves; readonly after: Leaves } {
  const differs = (a: Leaves, b: Leaves): Leaves =>
    Object.fromEntries(Object.entries(a).filter(([path, value]) => b[path] !== value));
  return { before: differs(before, after), after: differs(after, before) };
}
