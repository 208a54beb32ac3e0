import type { ArrivalEntry, EntriesAnswered, Entry, EntryAnswer } from '@yaylak/contract';
import type { Kilograms, ReadingDoubt } from '@yaylak/core';
import { ask } from '../../api/client';
import { newId } from '../../words/ids';
import { anew, type RowEntries } from './importEntries';
import { say } from '@yaylak/contract';

export interface DoubtfulWeight {
  readonly animalId: string;
  readonly on: string;
  readonly kg: Kilograms;
  readonly doubt: ReadingDoubt;
}

export interface RowOutcome {
  readonly line: number;
  /** `struck-out`: the book has it from an earlier import, and somebody struck it out since. */
  readonly status: 'kept' | 'already-kept' | 'struck-out' | 'refused';
  readonly message?: string;
  /** The entry's field that is wrong, where the book names one. */
  readonly field?: string;
  /** A weight that the book would take and doubts. */
  readonly doubtful?: DoubtfulWeight;
}

interface Sending {
  readonly onProgress: (done: number) => void;
  readonly isCancelled: () => boolean;
}

export interface SendOptions extends Sending {
  /** `check` asks what would happen and writes nothing. */
  readonly mode: 'check' | 'keep';
  readonly takesAgain: boolean;
  /** Told of the entries the book has kept, in their order. */
  readonly onKept?: (ids: readonly string[]) => void;
}

const ENTRIES_A_BATCH = 1000;
/** How often one row may have been imported and struck out. */
const MOST_TIMES_ANEW = 50;

const post = async (entries: readonly Entry[], mode: 'check' | 'keep'): Promise<readonly EntryAnswer[]> =>
  (await ask<EntriesAnswered>(`/api/entries?mode=${mode}`, { method: 'POST', body: { entries } })).answers;

/** Sends rows in batches that never cut a row in two; stops between batches when cancelled. */
export async function sendRows(rows: readonly RowEntries[], options: SendOptions): Promise<RowOutcome[]> {
  const outcomes: RowOutcome[] = [];
  // A check leaves nothing in the book, so that parents of an earlier batch are shown again with their young.
  const before = options.mode === 'check' ? new Map<string, ArrivalEntry>() : undefined;
  let from = 0;
  while (from < rows.length && !options.isCancelled()) {
    let to = from;
    let entries = 0;
    while (to < rows.length && (to === from || entries + (rows[to]?.entries.length ?? 0) <= ENTRIES_A_BATCH))
      entries += rows[to++]?.entries.length ?? 0;
    const batch = rows.slice(from, to);
    const answered = await sendBatch(batch, { ...options, parents: before ? parentsOf(batch, before) : [] });
    if (before) keepArrivals(before, batch, answered);
    outcomes.push(...answered);
    from = to;
    options.onProgress(from);
  }
  return outcomes;
}

const arrivalsOf = ({ entries }: RowEntries): ArrivalEntry[] => entries.filter((e) => e.type === 'arrival');

/** Parents of a batch's animals that an earlier batch brought, each by itself. */
function parentsOf(batch: readonly RowEntries[], before: ReadonlyMap<string, ArrivalEntry>): ArrivalEntry[] {
  const parents = new Map<string, ArrivalEntry>();
  for (const arrival of batch.flatMap(arrivalsOf))
    for (const id of [arrival.damId, arrival.sireId]) {
      const parent = id === undefined ? undefined : before.get(id);
      if (!parent) continue;
      const { damId: _dam, sireId: _sire, ...alone } = parent;
      parents.set(parent.animalId, alone);
    }
  for (const own of batch.flatMap(arrivalsOf)) parents.delete(own.animalId);
  return [...parents.values()];
}

function keepArrivals(
  before: Map<string, ArrivalEntry>,
  batch: readonly RowEntries[],
  outcomes: readonly RowOutcome[],
): void {
  const refused = new Set(outcomes.flatMap((o) => (o.status === 'refused' ? [o.line] : [])));
  for (const row of batch)
    if (!refused.has(row.line)) for (const arrival of arrivalsOf(row)) before.set(arrival.animalId, arrival);
}

async function sendBatch(
  rows: readonly RowEntries[],
  { mode, takesAgain, onKept, parents }: SendOptions & { readonly parents: readonly ArrivalEntry[] },
): Promise<RowOutcome[]> {
  const outcomes = new Map<number, RowOutcome>();
  let asked = rows;
  for (let time = 1; asked.length > 0; time++) {
    const all = await post([...parents, ...asked.flatMap((r) => r.entries)], mode);
    const answers = all.slice(parents.length);
    onKept?.(answers.flatMap((a) => (a.status === 'kept' ? [a.id] : [])));
    let at = 0;
    for (const row of asked) {
      outcomes.set(row.line, outcomeOf(row, answers.slice(at, at + row.entries.length)));
      at += row.entries.length;
    }
    if (!takesAgain || time > MOST_TIMES_ANEW) break;
    const struck = rows.filter((r) => outcomes.get(r.line)?.status === 'struck-out');
    // A row refused for the want of a struck-out dam may be good behind her; asked again it is no second row.
    const after = struck.length > 0 ? rows.filter((r) => outcomes.get(r.line)?.status === 'refused') : [];
    asked = [...struck.map((r) => anew(r, time)), ...after];
  }
  return rows.flatMap((r) => outcomes.get(r.line) ?? []);
}

function outcomeOf({ line, entries }: RowEntries, answers: readonly EntryAnswer[]): RowOutcome {
  const refused = answers.find((a) => a.status === 'refused');
  if (refused?.status === 'refused') {
    const field = refused.refusal?.field ?? refused.faults?.[0]?.field;
    return { line, status: 'refused', message: refused.message, ...(field === undefined ? {} : { field }) };
  }
  const first = answers[0];
  if (first?.status === 'already-kept' && first.isStruck) return { line, status: 'struck-out' };
  if (answers.every((a) => a.status === 'already-kept')) return { line, status: 'already-kept' };
  const doubtful = doubtfulOf(entries[0], first);
  return { line, status: 'kept', ...(doubtful ? { doubtful } : {}) };
}

function doubtfulOf(entry: Entry | undefined, answer: EntryAnswer | undefined): DoubtfulWeight | undefined {
  if (entry?.type !== 'weight' || answer?.status !== 'kept' || !answer.doubt) return undefined;
  const { animalId, on, kg } = entry;
  return { animalId, on, kg, doubt: answer.doubt };
}

export interface TakenBack {
  /** Entries gone through. */
  readonly done: number;
  readonly struck: number;
  /** Why some stay, each reason once. */
  readonly refused: readonly string[];
}

/** Strikes entries out in the order given. */
export async function takeBackEntries(
  ids: readonly string[],
  { on, writtenBy, onProgress, isCancelled }: Sending & { readonly on: string; readonly writtenBy: string },
): Promise<TakenBack> {
  const refused = new Set<string>();
  let done = 0;
  let struck = 0;
  while (done < ids.length && !isCancelled()) {
    const batch = ids.slice(done, done + ENTRIES_A_BATCH);
    const writtenAt = new Date().toISOString();
    const answers = await post(
      batch.map((entryId) => ({
        id: newId(),
        type: 'strike',
        on,
        entryId,
        reason: say('import taken back'),
        writtenAt,
        writtenBy,
        source: 'import',
      })),
      'keep',
    );
    for (const a of answers)
      if (a.status === 'refused') refused.add(a.message);
      else struck++;
    done += batch.length;
    onProgress(done);
  }
  return { done, struck, refused: [...refused] };
}
