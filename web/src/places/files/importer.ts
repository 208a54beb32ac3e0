import { readRows, type ImportContext } from './importEntries';
import { readTable, type Encoding, type FileTable, type FileTableAnswer } from '../../adapters/files/readTable';
import { sendRows, takeBackEntries, type RowOutcome, type TakenBack } from './sendRows';

export interface Preview {
  readonly rows: number;
  readonly bad: ReturnType<typeof readRows>['bad'];
  readonly outcomes: readonly RowOutcome[];
  /** Entries the book has kept of this run, in their order. */
  readonly keptIds: readonly string[];
  /** False when it was stopped before its end. */
  readonly isWhole: boolean;
}

export interface RunOptions {
  readonly mode: 'check' | 'keep';
  /** Lines the check before has refused. */
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
    read(bytes: Uint8Array, encoding?: Encoding): FileTableAnswer & { readonly sample?: FileTable['rows'] } {
      const answer = readTable(bytes, encoding);
      table = answer.kind === 'table' ? answer.table : undefined;
      if (answer.kind !== 'table') return answer;
      // The page needs the headings and a few rows, not all hundred thousand.
      return { kind: 'table', table: { ...answer.table, rows: [] }, sample: answer.table.rows.slice(0, 5) };
    },

    async run(context: ImportContext, options: RunOptions, onProgress: OnProgress): Promise<Preview> {
      isCancelled = false;
      const { good, bad } = readRows(table?.rows ?? [], context);
      const skipped = new Set(options.skipLines);
      const rows = good.filter((r) => !skipped.has(r.line));
      if (options.mode === 'keep') keptIds = [];
      const outcomes = await sendRows(rows, {
        ...options,
        onKept: (ids) => keptIds.push(...ids),
        onProgress: (done) => onProgress(done, rows.length),
        isCancelled: () => isCancelled,
      });
      return {
        rows: good.length + bad.length,
        bad,
        outcomes,
        keptIds: options.mode === 'keep' ? [...keptIds] : [],
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
