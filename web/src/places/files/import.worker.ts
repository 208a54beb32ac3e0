import { expose } from 'comlink';
import { readRows, type ImportContext } from './importEntries';
import { readTable, type Encoding, type FileTable, type FileTableAnswer } from './readTable';
import { sendRows, type RowOutcome } from './sendRows';

let table: FileTable | undefined;
let isCancelled = false;

export interface Preview {
  readonly rows: number;
  readonly bad: ReturnType<typeof readRows>['bad'];
  readonly outcomes: readonly RowOutcome[];
  readonly isWhole: boolean;
}

/** Reading, judging and sending of a file, away from the page so that it stays awake. */
const worker = {
  read(bytes: Uint8Array, encoding?: Encoding): FileTableAnswer & { readonly sample?: readonly (readonly string[])[] } {
    const answer = readTable(bytes, encoding);
    table = answer.kind === 'table' ? answer.table : undefined;
    if (answer.kind !== 'table') return answer;
    // The page needs the headings and a few rows, not all hundred thousand.
    return { kind: 'table', table: { ...answer.table, rows: [] }, sample: answer.table.rows.slice(0, 5) };
  },

  /** Asks the book about every row, or writes them. Rows refused by the check before are left out of writing. */
  async run(
    context: ImportContext,
    mode: 'check' | 'keep',
    skipLines: readonly number[],
    onProgress: (done: number, of: number) => void,
  ): Promise<Preview> {
    isCancelled = false;
    const { good, bad } = readRows(table?.rows ?? [], context);
    const skipped = new Set(skipLines);
    const rows = good.filter((r) => !skipped.has(r.line));
    const outcomes = await sendRows(rows, {
      mode,
      onProgress: (done) => void onProgress(done, rows.length),
      isCancelled: () => isCancelled,
    });
    return { rows: good.length + bad.length, bad, outcomes, isWhole: outcomes.length === rows.length };
  },

  cancel(): void {
    isCancelled = true;
  },
};
export type ImportWorker = typeof worker;

expose(worker);
