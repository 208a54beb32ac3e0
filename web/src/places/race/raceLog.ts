import type { AnimalEntry, Entry } from '@yaylak/contract';
import type { OutboxItem } from '../../outbox/store';

/** One animal's way through: what was written of it, in order. */
export interface Passage {
  readonly animalId: string;
  readonly writtenAt: string;
  /** The day it went through. */
  readonly on: string;
  readonly kg: number | undefined;
  readonly gate: string | undefined;
  readonly entries: readonly AnimalEntry[];
  /** The book did not take something of it. */
  readonly refusedBecause: string | undefined;
}

/** An entry of a job that lies on this device, and why the book did not take it, if it did not. */
export interface Logged {
  readonly entry: Entry;
  readonly refused: string | undefined;
}

/** What this device wrote of a job. */
export const jobLog = (onDevice: readonly OutboxItem[], jobId: string): Logged[] =>
  onDevice.flatMap(({ out, state, message }) =>
    out.kind === 'entry' && out.entry.jobId === jobId
      ? [{ entry: out.entry, refused: state === 'refused' ? (message ?? 'refused') : undefined }]
      : [],
  );

export const isSameLog = (a: readonly Logged[], b: readonly Logged[]): boolean =>
  a.length === b.length && a.every((x, i) => x.entry === b[i]?.entry && x.refused === b[i].refused);

/** Whether the server has all that a device wrote of a job, but for what was struck out again. */
export function hasAll(fromServer: readonly Entry[], log: readonly Logged[]): boolean {
  const known = new Set(fromServer.map((e) => e.id));
  const all = [...fromServer, ...log.map(({ entry }) => entry)];
  const struck = new Set(all.flatMap((e) => (e.type === 'strike' ? [e.entryId] : [])));
  return log.every(
    ({ entry, refused }) =>
      refused === undefined && (known.has(entry.id) || struck.has(entry.id) || entry.type === 'strike'),
  );
}

/**
 * The passages of a job, oldest first: what the server has and what lies on this device, each entry once, struck ones
 * left out.
 */
export function passagesOf(fromServer: readonly Entry[], onDevice: readonly Logged[]): Passage[] {
  const entries = new Map<string, Logged>();
  for (const entry of fromServer) entries.set(entry.id, { entry, refused: undefined });
  for (const logged of onDevice) entries.set(logged.entry.id, logged);
  const struck = new Set<string>();
  for (const { entry } of entries.values()) if (entry.type === 'strike') struck.add(entry.entryId);
  const passages = new Map<string, { entries: AnimalEntry[]; refused: string | undefined }>();
  for (const { entry, refused } of entries.values()) {
    if (entry.type === 'strike' || struck.has(entry.id)) continue;
    const key = `${entry.writtenAt} ${entry.animalId}`;
    const passage = passages.get(key) ?? { entries: [], refused: undefined };
    passage.entries.push(entry);
    passage.refused ??= refused;
    passages.set(key, passage);
  }
  return [...passages.values()]
    .map(({ entries: own, refused }) => toPassage(own, refused))
    .sort((a, b) => (a.writtenAt < b.writtenAt ? -1 : a.writtenAt > b.writtenAt ? 1 : 0));
}

function toPassage(entries: readonly AnimalEntry[], refusedBecause: string | undefined): Passage {
  const first = entries[0] as AnimalEntry;
  const weight = entries.find((e) => e.type === 'weight');
  const passage = entries.find((e) => e.type === 'passage');
  return {
    animalId: first.animalId,
    writtenAt: first.writtenAt,
    on: (passage ?? first).on,
    kg: weight?.type === 'weight' ? weight.kg : undefined,
    gate: passage?.type === 'passage' ? passage.gate : undefined,
    entries,
    refusedBecause,
  };
}
