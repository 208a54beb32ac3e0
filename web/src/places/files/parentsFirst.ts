import type { RowEntries } from './importEntries';

export interface PendingRow extends RowEntries {
  readonly animalId: string;
  readonly parents: readonly string[];
}

/** Rows in an order in which every parent of the file stands before its young; a loop is left as it is, to be refused. */
export function parentsFirst(rows: readonly PendingRow[]): RowEntries[] {
  const byId = new Map(rows.map((r) => [r.animalId, r]));
  const done = new Set<PendingRow>();
  const ordered: RowEntries[] = [];
  for (const start of rows) {
    const stack = [start];
    const onPath = new Set<PendingRow>();
    while (stack.length > 0) {
      const top = stack.at(-1) as PendingRow;
      onPath.add(top);
      const waiting = top.parents.flatMap((p) => {
        const row = byId.get(p);
        return row && !done.has(row) && !onPath.has(row) ? [row] : [];
      });
      if (waiting[0]) stack.push(waiting[0]);
      else {
        stack.pop();
        if (!done.has(top)) ordered.push({ line: top.line, entries: top.entries });
        done.add(top);
      }
    }
  }
  return ordered;
}
