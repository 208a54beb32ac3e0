import type { SaleRow, SellingView } from '@yaylak/contract';
import { splitByHand, type SplitHead } from '@yaylak/core';
import { say } from '@yaylak/contract';

/** Heads sent elsewhere by hand: an outlet's id or `stays`, by animal. */
export type ByHand = Readonly<Record<string, string>>;

/** Where a head goes: by hand, or as the split says; undefined of one that is no part of it. */
export const splitColumn = ({ split }: SellingView, byHand: ByHand, animalId: string): string | undefined =>
  split && animalId in split.columns ? (byHand[animalId] ?? split.columns[animalId]) : undefined;

/** What a row brings in a column; null where it may not go there. */
export const worthIn = (row: SaleRow, column: string): number | null =>
  column === 'stays' ? row.staysMinor : (row.cells.find((c) => c.outletId === column)?.nowMinor ?? null);

export interface MadeSplit {
  readonly totalMinor: number;
  /** Heads and what they bring, the trip off, by column in the outlets' order; `stays` last. */
  readonly columns: readonly {
    readonly id: string;
    readonly heads: number;
    readonly minor: number;
    /** Of them outside what the outlet wants today: priced as it would pay, and it may turn them down. */
    readonly outside: number;
  }[];
  /** In words: a load the outlet would not take. */
  readonly broken: readonly string[];
  /** Some were sent elsewhere by hand. */
  readonly isByHand: boolean;
}

/** The split as it stands, with those sent elsewhere by hand. */
export function handSplit(view: SellingView, byHand: ByHand): MadeSplit {
  const rows = view.rows.filter((r) => splitColumn(view, byHand, r.tag.animalId) !== undefined);
  const at = (row: SaleRow): string => splitColumn(view, byHand, row.tag.animalId) ?? 'stays';
  const heads = rows.map((row): SplitHead => ({
    id: row.tag.animalId,
    values: view.outlets.map((o) => worthIn(row, o.id) ?? undefined),
    stays: row.staysMinor ?? undefined,
  }));
  const places = rows.map((row) => {
    const i = view.outlets.findIndex((o) => o.id === at(row));
    return i < 0 ? ('stays' as const) : i;
  });
  const outlets = view.outlets.map(({ id, facts: { tripMinor, least, most } }) => ({ id, tripMinor, least, most }));
  const { totalMinor, broken } = splitByHand(heads, outlets, places);
  const columns = [...view.outlets.map((o) => ({ id: o.id, trip: o.facts.tripMinor })), { id: 'stays', trip: 0 }];
  return {
    totalMinor,
    columns: columns.map(({ id, trip }) => {
      const there = rows.filter((row) => at(row) === id);
      const minor = there.reduce((sum, row) => sum + (worthIn(row, id) ?? 0), there.length > 0 ? -trip : 0);
      const outside = there.filter((row) => row.cells.some((c) => c.outletId === id && c.readiness.kind !== 'ready'));
      return { id, heads: there.length, minor, outside: outside.length };
    }),
    broken: broken.map(({ outlet, heads: n, isOver }) => {
      const { name, least, most } = (view.outlets[outlet] as SellingView['outlets'][number]).facts;
      return isOver
        ? say('{name} takes at most {n}, not {n2}.', { name, n: most ?? '', n2: n })
        : say('{name} takes at least {least}, not {n}.', { name, least, n });
    }),
    isByHand: rows.some(
      (r) => (byHand[r.tag.animalId] ?? view.split?.columns[r.tag.animalId]) !== view.split?.columns[r.tag.animalId],
    ),
  };
}
