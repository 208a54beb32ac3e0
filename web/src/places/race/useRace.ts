import { useQuery } from '@tanstack/react-query';
import type { Entry, JobView, RosterAnimal, StartJob } from '@yaylak/contract';
import { useCallback, useMemo, useState } from 'react';
import { holdingQuery, jobQuery, rosterQuery } from '../../api/queries';
import type { OutboxItem } from '../../outbox/store';
import { useOutbox, useOutboxState } from '../../outbox/useOutbox';
import { stamp, type EntryDraft } from '../../outbox/useRecord';
import { newId } from '../../words/ids';
import { isSameLog, jobLog, passagesOf, type Logged, type Passage } from './raceLog';

export interface Race {
  readonly job: (StartJob & { readonly finishedAt: string | null }) | undefined;
  readonly isMissing: boolean;
  readonly animals: ReadonlyMap<string, RosterAnimal>;
  readonly listed: readonly RosterAnimal[];
  readonly passages: readonly Passage[];
  readonly keptHere: number;
  /** Writes one animal's way through down on this device, then sends it. */
  pass(passage: {
    readonly animalId: string;
    readonly kg?: number;
    readonly gate?: string;
    readonly before?: readonly EntryDraft[];
  }): Promise<void>;
  takeBack(passage: Passage): Promise<void>;
  finish(): Promise<void>;
}

const jobOnDevice = (items: readonly OutboxItem[], id: string): StartJob | undefined => {
  const found = items.find((i) => i.out.kind === 'job' && i.out.job.id === id);
  return found?.out.kind === 'job' ? found.out.job : undefined;
};

const NOBODY: readonly RosterAnimal[] = [];
const NOTHING: readonly Entry[] = [];

/** A job as this device knows it, with or without the server. */
export function useRace(jobId: string): Race {
  const outbox = useOutbox();
  const { items, waiting } = useOutboxState();
  const server = useQuery({ ...jobQuery(jobId), staleTime: Infinity, retry: false });
  const roster = useQuery({ ...rosterQuery, staleTime: Infinity });
  const { data: holding } = useQuery(holdingQuery);
  const onDevice = jobOnDevice(items, jobId);
  const isFinishedHere = items.some((i) => i.out.kind === 'finish' && i.out.jobId === jobId);
  const known: JobView | StartJob | undefined = server.data?.job ?? onDevice;
  const finishedAt = server.data?.job.finishedAt ?? null;
  const job = useMemo(
    () => (known ? { ...known, finishedAt: finishedAt ?? (isFinishedHere ? known.startedAt : null) } : undefined),
    [known, finishedAt, isFinishedHere],
  );
  const all = roster.data?.animals ?? NOBODY;
  const log = useSame(jobLog(items, jobId), isSameLog);
  const strangers = useSame(
    useMemo(() => strangersOf(log), [log]),
    areSameAnimals,
  );
  const animals = useMemo(() => new Map([...strangers, ...all].map((a) => [a.tag.animalId, a])), [all, strangers]);
  const listed = useMemo(
    () => (job?.animalIds ?? []).flatMap((id) => animals.get(id) ?? []),
    [job?.animalIds, animals],
  );
  const passages = useMemo(() => passagesOf(server.data?.entries ?? NOTHING, log), [server.data?.entries, log]);
  const writtenBy = holding?.keeper ?? 'Keeper';
  const on = job?.on ?? '';
  const groupOfGate = useMemo(() => new Map((job?.gates ?? []).map((g) => [g.name, g.groupId])), [job?.gates]);

  const put = useCallback(
    async (drafts: readonly EntryDraft[]) => {
      // One time for one passage: it is what holds its entries together.
      const at = new Date().toISOString();
      await outbox.put(
        drafts.map((d) => ({ kind: 'entry', entry: { ...stamp(d, writtenBy, 'race'), writtenAt: at, jobId } })),
      );
    },
    [outbox, writtenBy, jobId],
  );

  return {
    job,
    isMissing: !job && server.isError && !roster.isPending,
    animals,
    listed,
    passages,
    keptHere: waiting,
    pass: ({ animalId, kg, gate, before = [] }) => {
      const groupId = gate === undefined ? undefined : groupOfGate.get(gate);
      return put([
        ...before,
        { type: 'passage', animalId, on, ...(gate === undefined ? {} : { gate }) },
        ...(kg === undefined ? [] : [{ type: 'weight', animalId, on, kg, method: 'scale' } as const]),
        ...(groupId === undefined ? [] : [{ type: 'move', animalId, on, groupId } as const]),
      ]);
    },
    takeBack: (passage) =>
      put(
        [...passage.entries]
          .reverse()
          .map((e) => ({ type: 'strike', on: e.on, entryId: e.id, reason: 'taken back at the race' })),
      ),
    finish: () => outbox.put([{ kind: 'finish', jobId, finishedAt: new Date().toISOString() }]),
  };
}

/** The value of before while it says the same: that an entry has been sent changes nothing of who is through. */
function useSame<T>(value: T, isSame: (a: T, b: T) => boolean): T {
  const [kept, setKept] = useState(value);
  if (isSame(kept, value)) return kept;
  setKept(value);
  return value;
}

/** Animals taken in at this race, not yet on the roster. */
function strangersOf(log: readonly Logged[]): RosterAnimal[] {
  return log.flatMap(({ entry: arrival }): RosterAnimal[] => {
    if (arrival.type !== 'arrival') return [];
    const { animalId, species, sex } = arrival;
    const worn = log.find(({ entry }) => entry.type === 'identifier' && entry.animalId === animalId)?.entry;
    const text = worn?.type === 'identifier' ? worn.text : 'no number';
    return [
      {
        tag: { animalId, text, kind: 'visual', colour: null, name: null, hasElectronic: false, isWorn: true },
        species,
        sex,
        bornOn: null,
        birthType: null,
        rearingType: null,
        dam: null,
        sire: null,
        groupId: null,
        groupName: null,
        weights: [],
        identifiers: [text],
      },
    ];
  });
}

const areSameAnimals = (a: readonly RosterAnimal[], b: readonly RosterAnimal[]): boolean =>
  a.length === b.length && a.every((x, i) => x.tag.animalId === b[i]?.tag.animalId && x.tag.text === b[i].tag.text);

/** Entries that take an unknown animal in: it is asked later who it is. */
export function takeIn(
  number: string,
  like: RosterAnimal | undefined,
  on: string,
): { readonly animalId: string; readonly before: readonly EntryDraft[] } {
  const animalId = newId();
  const before: EntryDraft[] = [
    { type: 'arrival', animalId, on, how: 'found', species: like?.species ?? 'sheep', sex: 'unknown' },
    { type: 'identifier', animalId, on, kind: 'visual', text: number.slice(0, 40) },
    ...(like?.groupId ? [{ type: 'move', animalId, on, groupId: like.groupId } as const] : []),
  ];
  return { animalId, before };
}
