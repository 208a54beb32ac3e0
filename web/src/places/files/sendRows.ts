import type { EntriesAnswered, EntryAnswer } from '@yaylak/contract';
import { ask } from '../../api/client';
import type { RowEntries } from './importEntries';

export interface RowOutcome {
  readonly line: number;
  readonly status: 'kept' | 'already-kept' | 'refused';
  readonly message?: string;
  /** The entry's field that is wrong, where the book names one. */
  readonly field?: string;
}

export interface SendOptions {
  /** `check` asks what would happen and writes nothing. */
  readonly mode: 'check' | 'keep';
  readonly onProgress: (done: number) => void;
  readonly isCancelled: () => boolean;
}

const ENTRIES_A_BATCH = 1000;

/** Sends rows in batches that never cut a row in two; stops between batches when cancelled. */
export async function sendRows(
  rows: readonly RowEntries[],
  { mode, onProgress, isCancelled }: SendOptions,
): Promise<RowOutcome[]> {
  const outcomes: RowOutcome[] = [];
  let from = 0;
  while (from < rows.length && !isCancelled()) {
    let to = from;
    let entries = 0;
    while (to < rows.length && (to === from || entries + (rows[to]?.entries.length ?? 0) <= ENTRIES_A_BATCH))
      entries += rows[to++]?.entries.length ?? 0;
    const batch = rows.slice(from, to);
    const { answers } = await ask<EntriesAnswered>(`/api/entries${mode === 'check' ? '?check=1' : ''}`, {
      method: 'POST',
      body: { entries: batch.flatMap((r) => r.entries) },
    });
    let at = 0;
    for (const row of batch) {
      outcomes.push(outcomeOf(row.line, answers.slice(at, at + row.entries.length)));
      at += row.entries.length;
    }
    from = to;
    onProgress(from);
  }
  return outcomes;
}

function outcomeOf(line: number, answers: readonly EntryAnswer[]): RowOutcome {
  const refused = answers.find((a) => a.status === 'refused');
  if (refused?.status === 'refused') {
    const field = refused.refusal?.field ?? refused.faults?.[0]?.field;
    return { line, status: 'refused', message: refused.message, ...(field === undefined ? {} : { field }) };
  }
  return { line, status: answers.every((a) => a.status === 'already-kept') ? 'already-kept' : 'kept' };
}
