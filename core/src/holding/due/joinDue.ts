import type { AnimalFacts } from '../../book';
import type { Day, Window } from '../../calendar';
import type { DueRow } from './dueRow';

/** Rows that are done in one go, in order of importance, with all whom they are for. */
export interface DueTogether {
  readonly key: string;
  readonly rows: readonly [DueRow, ...DueRow[]];
  readonly animals: readonly AnimalFacts[];
  readonly window: Window;
}

/** So much of the smaller list stands in the larger one where measuring is put together. */
const MOST_SHARED = 0.8;

/**
 * The day's list in its order: work on the same animals as one, who has to come through the race anyway being weighed
 * and scored in one go, and what closes first before what closes later.
 * @param rows in order of importance; the first of two that are put together leads
 */
export function joinDue(rows: readonly DueRow[]): DueTogether[] {
  const joined: DueTogether[] = [];
  for (const row of rows) {
    const at = joined.findIndex((other) => canJoin(other, row));
    const other = joined[at];
    if (other) joined[at] = together(other, row);
    else joined.push({ key: row.key, rows: [row], animals: row.animals, window: row.window });
  }
  return joined.sort((a, b) => a.window.closes - b.window.closes || (a.key < b.key ? -1 : 1));
}

function canJoin({ rows, animals }: DueTogether, row: DueRow): boolean {
  const [first] = rows;
  if (first.species !== row.species || first.groupId !== row.groupId) return false;
  const all = [...rows, row];
  if (all.some((r) => r.joins === 'nothing' || !r.isOpen)) return false;
  const own = new Set(animals);
  const both = row.animals.filter((facts) => own.has(facts)).length;
  if (both === own.size && both === row.animals.length) return true;
  return all.every((r) => r.joins === 'measures') && both >= MOST_SHARED * Math.min(own.size, row.animals.length);
}

function together(a: DueTogether, row: DueRow): DueTogether {
  const earlier = (of: keyof Window): Day => Math.min(a.window[of], row.window[of]) as Day;
  return {
    key: `${a.key} + ${row.key}`,
    rows: [...a.rows, row],
    animals: [...new Set([...a.animals, ...row.animals])],
    window: {
      opens: earlier('opens'),
      bestFrom: earlier('bestFrom'),
      bestTo: earlier('bestTo'),
      closes: earlier('closes'),
    },
  };
}
