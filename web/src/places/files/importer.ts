import { ask } from '../../api/client';
import { readRows, type ImportContext, type NewGroup, type ReadRows, type RowEntries } from './importEntries';
import { readFile } from '../../adapters/files/readFile';
import type { Encoding, FileTable, FileTableAnswer } from '../../adapters/files/readTable';
import { sendRows, takeBackEntries, type RowOutcome, type TakenBack } from './sendRows';

export interface Preview {
  readonly rows: number;
  readonly bad: ReadRows['bad'];
  readonly newGroups: ReadRows['newGroups'];
  readonly knownParents: ReadRows['knownParents'];
  readonly outcomes: readonly RowOutcome[];
  /** Entries the book has kept of this run, in their order. */
  readonly keptIds: readonly string[];
  /** False when it was stopped before its end. */
  readonly isWhole: boolean;
}

export interface RunOptions {
  readonly mode: 'check' | 'keep';
  /** Lines the check before has refused, and doubted ones that nobody took. */
  readonly skipLines: readonly number[];
  /** Whether rows that were struck out after an earlier import come in again. */
  readonly takesAgain: boolean;
}

type OnProgress = (done: number, of: number) => void;

export type Importer = ReturnType<typeof createImporter>;

/** One file at a time: read it, ask the book about every row or write them, and take back what was written. */
export function createImporter() {
  let table: FileTable | undefined;
  let isCancelled = false;
  let keptIds: string[] = [];
  return {
    async read(
      bytes: Uint8Array,
      encoding?: Encoding,
    ): Promise<FileTableAnswer & { readonly sample?: FileTable['rows'] }> {
      const answer = await readFile(bytes, encoding);
      table = answer.kind === 'table' ? answer.table : undefined;
      if (answer.kind !== 'table') return answer;
      // The page needs the headings and a few rows, not all hundred thousand.
      return { kind: 'table', table: { ...answer.table, rows: [] }, sample: answer.table.rows.slice(0, 5) };
    },

    async run(context: ImportContext, options: RunOptions, onProgress: OnProgress): Promise<Preview> {
      isCancelled = false;
      const { good, bad, newGroups, knownParents } = readRows(table?.rows ?? [], context);
      const skipped = new Set(options.skipLines);
      const wanted = good.filter((r) => !skipped.has(r.line));
      const isKeeping = options.mode === 'keep';
      if (isKeeping) {
        keptIds = [];
        await makeGroups(newGroups, wanted);
      }
      const rows = isKeeping ? wanted : wanted.map((r) => withoutMovesTo(newGroups, r));
      const outcomes = await sendRows(rows, {
        ...options,
        onKept: (ids) => keptIds.push(...ids),
        onProgress: (done) => onProgress(done, rows.length),
        isCancelled: () => isCancelled,
      });
      return {
        rows: good.length + bad.length,
        bad,
        newGroups,
        knownParents,
        outcomes,
        keptIds: isKeeping ? [...keptIds] : [],
        isWhole: outcomes.length === rows.length,
      };
    },

    /** Strikes out everything the last run wrote, the last first. */
    async takeBack(
      stamp: { readonly on: string; readonly writtenBy: string },
      onProgress: OnProgress,
    ): Promise<TakenBack> {
      isCancelled = false;
      const ids = keptIds.toReversed();
      const back = await takeBackEntries(ids, {
        ...stamp,
        onProgress: (done) => onProgress(done, ids.length),
        isCancelled: () => isCancelled,
      });
      keptIds = keptIds.slice(0, keptIds.length - back.done);
      return back;
    },

    cancel(): void {
      isCancelled = true;
    },
  };
}

/** Makes the groups that rows to be kept stand in; one that is there by now stays as it is. */
async function makeGroups(groups: readonly NewGroup[], rows: readonly RowEntries[]): Promise<void> {
  const spokenOf = new Set(rows.flatMap((r) => r.entries.flatMap((e) => (e.type === 'move' ? [e.groupId] : []))));
  for (const group of groups) if (spokenOf.has(group.id)) await ask('/api/groups', { method: 'POST', body: group });
}

/** A row as the book can judge it before its group is made. */
function withoutMovesTo(groups: readonly NewGroup[], row: RowEntries): RowEntries {
  if (groups.length === 0) return row;
  const ids = new Set(groups.map((g) => g.id));
  return { ...row, entries: row.entries.filter((e) => e.type !== 'move' || !ids.has(e.groupId)) };
}
