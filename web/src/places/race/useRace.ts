import { useQuery } from '@tanstack/react-query';
import { MAX_BATCH, type Entry, type JobFacts, type RosterAnimal, type RosterView, say } from '@yaylak/contract';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { holdingQuery, jobQuery, rosterQuery } from '../../api/queries';
import { useOutbox, useOutboxState } from '../../outbox/useOutbox';
import { raceEntries, strikesOf, useSendWhole, type EntryDraft } from '../../outbox/useRecord';
import { jobHere, type JobHere } from '../../shared/jobs/jobHere';
import { newId } from '../../words/ids';
import { readElectronicNumber, USUAL_BY_SPECIES, type Sex } from '@yaylak/core';
import { nobody } from './draft';
import { hasAll, isSameLog, jobLog, passagesOf, type Logged, type Passage } from './raceLog';
import { writerOf } from '../../words/writer';

export interface Race {
  readonly job: JobHere | undefined;
  /** The day an animal that goes through now is dated: today, unless the job is entered for its own day. */
  readonly on: string;
  /** Whose hand what is recorded now bears. */
  readonly by: string;
  readonly isMissing: boolean;
  /** The animals are still being read: a number typed now would find nobody. */
  readonly isReading: boolean;
  readonly animals: ReadonlyMap<string, RosterAnimal>;
  readonly listed: readonly RosterAnimal[];
  readonly passages: readonly Passage[];
  readonly keptHere: number;
  /** The server has said that the job is finished and has all that this device wrote of it: the device may forget it. */
  readonly isOnServer: boolean;
  readonly roster: RosterView;
  /** Writes one animal's way through down on this device, then sends it. */
  pass(entries: readonly EntryDraft[]): Promise<readonly Entry[]>;
  takeBack(passage: Passage): Promise<readonly Entry[]>;
  finish(): Promise<void>;
  /** Opens it again when it was finished or put away. */
  resume(): Promise<void>;
  /** Puts it away, and strikes out what was recorded in it. */
  discard(): Promise<void>;
  /** Says anew what the job is. */
  change(facts: JobFacts): Promise<void>;
  /** Dates what was recorded with another day. @returns the book's reasons against it; none when it is so */
  redate(passages: readonly Passage[], on: string): Promise<readonly string[]>;
}

const OTHERS_EVERY_MS = 10_000;
const NOBODY: readonly RosterAnimal[] = [];
const NOTHING: readonly Entry[] = [];
const NO_ROSTER: RosterView = {
  on: '',
  animals: [],
  gone: [],
  products: [],
  templates: [],
  biases: [],
  outlets: [],
  habits: [],
  killingOut: USUAL_BY_SPECIES,
  lastTubes: {},
};

/** A job as this device knows it, with or without the server. */
export function useRace(jobId: string, hand?: string): Race {
  const outbox = useOutbox();
  const { items, waiting } = useOutboxState();
  const send = useSendWhole();
  const server = useQuery({
    ...jobQuery(jobId),
    staleTime: Infinity,
    retry: false,
    // Another device may work the same job: what it wrote comes in between.
    refetchInterval: OTHERS_EVERY_MS,
  });
  const roster = useQuery({ ...rosterQuery, staleTime: Infinity });
  const { data: holding } = useQuery(holdingQuery);
  const isFinishedHere = items.some((i) => i.out.kind === 'finish' && i.out.jobId === jobId);
  const finishedAt = server.data?.job.finishedAt ?? null;
  const job = useSame(
    useMemo(() => jobHere(jobId, server.data?.job, server.data?.askedAt ?? 0, items), [jobId, server.data, items]),
    isSameJob,
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
  const { refetch } = server;
  // What was just sent is asked back at once: until then this device is what knows of it.
  useEffect(() => {
    if (isFinishedHere && waiting === 0) void refetch();
  }, [isFinishedHere, waiting, refetch]);
  const by = holding?.writer?.name ?? hand ?? job?.startedBy ?? writerOf(holding);
  const on = job?.isForItsDay ? job.on : (holding?.today ?? job?.on ?? '');

  const put = useCallback(
    async (drafts: readonly EntryDraft[]) => {
      const entries = raceEntries(drafts, by, jobId);
      await outbox.put(entries.map((entry) => ({ kind: 'entry', entry })));
      return entries;
    },
    [outbox, by, jobId],
  );

  return {
    job,
    on,
    by,
    // Idle it is while the device takes up what it kept: then nobody is known yet either.
    isReading: roster.isPending && roster.fetchStatus !== 'paused',
    isMissing: !job && server.isError && !roster.isPending,
    animals,
    listed,
    passages,
    keptHere: waiting,
    isOnServer: finishedAt !== null && job?.finishedAt != null && hasAll(server.data?.entries ?? NOTHING, log),
    roster: roster.data ?? NO_ROSTER,
    pass: put,
    takeBack: (passage) => put(strikesOf(passage.entries, say('taken back at the race'))),
    finish: () => outbox.put([{ kind: 'finish', jobId, finishedAt: new Date().toISOString() }]),
    resume: () => outbox.put([{ kind: 'resume', jobId }]),
    discard: () =>
      outbox.put([{ kind: 'discard', jobId, discard: { discardedAt: new Date().toISOString(), discardedBy: by } }]),
    change: (facts) => outbox.put([{ kind: 'change', jobId, facts }]),
    redate: async (passed, day) => {
      const refused = new Set<string>();
      // The last ones first, each piece whole, so that nothing is struck out that is not written down anew.
      for (const part of partsOf(passed.toReversed(), MAX_BATCH / 2)) {
        const strikes = part.flatMap((p) => raceEntries(strikesOf(p.entries, say('dated {day}', { day })), by, jobId));
        const outcome = await send([...strikes, ...part.toReversed().flatMap((p) => redated(p, day))]);
        if (outcome.kind === 'refused') outcome.messages.forEach((m) => refused.add(m));
      }
      return [...refused];
    },
  };
}

/** A passage's entries on another day, as entries of their own that speak of one another as before. */
function redated({ entries }: Passage, on: string): Entry[] {
  const fresh = new Map(entries.map((e) => [e.id, newId()]));
  const text = JSON.stringify(entries.map((e) => ({ ...e, on })));
  return JSON.parse(text, (_key, value: unknown) => fresh.get(value as string) ?? value) as Entry[];
}

/** Passages in parts of so many entries at most; one that has more is a part by itself. */
function partsOf(passages: readonly Passage[], most: number): Passage[][] {
  const parts: Passage[][] = [];
  let held = Infinity;
  for (const passage of passages) {
    if (held + passage.entries.length > most) {
      parts.push([]);
      held = 0;
    }
    parts.at(-1)?.push(passage);
    held += passage.entries.length;
  }
  return parts;
}

const isSameJob = (a: JobHere | undefined, b: JobHere | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);

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
    const { animalId, species, sex, bornOn = null, damId = null, birthType = null } = arrival;
    const worn = log.flatMap(({ entry: e }) => (e.type === 'identifier' && e.animalId === animalId ? [e] : []));
    const main = worn.find((e) => e.kind === 'visual') ?? worn[0];
    const text = main?.text ?? say('no number');
    return [
      nobody({
        tag: {
          animalId,
          text,
          kind: main?.kind ?? 'none',
          colour: main?.colour ?? null,
          name: null,
          hasElectronic: worn.some((e) => e.kind === 'electronic'),
          isWorn: true,
        },
        species,
        sex,
        bornOn,
        damId,
        birthType,
        worn: worn.map((e) => [e.text, e.id, e.kind]),
      }),
    ];
  });
}

const areSameAnimals = (a: readonly RosterAnimal[], b: readonly RosterAnimal[]): boolean =>
  a.length === b.length && a.every((x, i) => x.tag.animalId === b[i]?.tag.animalId && x.tag.text === b[i].tag.text);

/** Entries that take an unknown animal in: it is asked later who it is. */
export function takeIn(number: string, like: RosterAnimal | undefined, on: string): readonly EntryDraft[] {
  const animalId = newId();
  const read = readElectronicNumber(number);
  const worn =
    read.kind === 'number'
      ? ({ kind: 'electronic', text: read.digits } as const)
      : ({ kind: 'visual', text: number.slice(0, 40) } as const);
  return [
    { type: 'arrival', animalId, on, how: 'found', species: like?.species ?? 'sheep', sex: 'unknown' },
    { type: 'identifier', animalId, on, ...worn },
    ...(like?.groupId ? [{ type: 'move', animalId, on, groupId: like.groupId } as const] : []),
  ];
}

export interface NewYoung {
  readonly dam: RosterAnimal;
  readonly sex: Sex;
  readonly bornOn: string;
  readonly on: string;
  /** How many were born together. */
  readonly bornAs?: number | undefined;
}

/** Entries that put a young one under its dam into the book. */
export function addYoung({ dam, sex, bornOn, on, bornAs }: NewYoung): readonly EntryDraft[] {
  const animalId = newId();
  const { species, groupId } = dam;
  return [
    {
      type: 'arrival',
      animalId,
      // Born before the job, and in the book from its birth on: it may be weighed of that day.
      on: bornOn,
      how: 'born',
      species,
      sex,
      bornOn,
      damId: dam.tag.animalId,
      ...(bornAs === undefined ? {} : { birthType: bornAs, rearingType: bornAs }),
    },
    ...(groupId ? [{ type: 'move', animalId, on, groupId } as const] : []),
  ];
}
