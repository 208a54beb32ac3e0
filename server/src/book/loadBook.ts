import type { EntityManager } from '@mikro-orm/libsql';
import {
  missingOf,
  PlanFacts,
  ProductFacts,
  StationSettings,
  TemplateFacts,
  type AnimalEntry,
  type BookFinding,
  type EntryType,
  type ScorersSetting,
  type Station,
} from '@yaylak/contract';
import { isoOf, recordOf, type Day } from '@yaylak/core';
import { ahead, breathe } from '../common/breathe';
import { faultsOf, type ClassOf } from '../common/faultsOf';
import { readBeside, type BesideReader } from '../database/besideReader';
import { groupsInOrder } from '../records/groupsInOrder';
import { HoldingEntity } from '../records/holding.entity';
import { soundSettings } from '../records/soundSettings';
import { JobEntity } from '../records/job.entity';
import { TemplateEntity } from '../records/template.entity';
import { ProductEntity } from '../records/product.entity';
import { PlanEntity } from '../records/plan.entity';
import { LISTS } from './entryTables';
import { HoldingState, type Fill } from './holdingState';
import { readAllOf, typesThere, type KeptEntry } from './readEntries';
import { shapeEntry } from './shape';
import { isAnimalEntry } from './writeEntries';

/** A book as it is read: what stands in it, what cannot be used, and the number of its next entry. */
export interface LoadedBook {
  readonly state: HoldingState;
  readonly findings: readonly BookFinding[];
  readonly nextSeq: number;
}

/**
 * Reads the whole book into memory. A record that cannot be used as it is stored is left out and named; the rest
 * stands, so that no page ever fails for one of them.
 * @param before the state this one takes the place of
 */
export async function loadBook(em: EntityManager, today: Day, before: HoldingState): Promise<LoadedBook> {
  const state = new HoldingState(before);
  const holding = await em.findOne(HoldingEntity, 1);
  const findings: BookFinding[] = [];
  if (holding) {
    const { leftOut, species, findings: found } = soundSettings(holding);
    findings.push(...found);
    state.setSettings({
      species,
      unit: holding.unit === 'lb' ? 'lb' : 'kg',
      scorers: leftOut.includes('scorers') ? NO_SCORERS : (holding.scorers ?? NO_SCORERS),
    });
  }
  for (const g of await groupsInOrder(em))
    state.groups.set(g.id, {
      id: g.id,
      name: g.name,
      species: g.species as never,
      isClosed: g.isClosed,
      version: g.version,
    });
  const isSound = (record: BookFinding['record'], id: string, shape: ClassOf, facts: unknown): boolean => {
    const [fault] = faultsOf(shape, facts);
    if (fault) findings.push({ record, id, message: fault.message });
    return !fault;
  };
  for (const { id, facts, isClosed, version } of await em.find(ProductEntity, {}))
    if (isSound('product', id, ProductFacts, facts)) state.products.set(id, { id, facts, isClosed, version });
  for (const { id, facts, version } of await em.find(PlanEntity, {})) {
    if (!isSound('plan', id, PlanFacts, facts)) continue;
    const missing = missingOf(facts);
    if (missing.length === 0) state.plans.set(id, { id, facts, version });
    else findings.push({ record: 'plan', id, message: `The plan lacks ${missing.join(', ')}.` });
  }
  for (const { id, facts } of await em.find(TemplateEntity, {})) isSound('template', id, TemplateFacts, facts);
  for (const { id, stations, settings } of await em.find(JobEntity, {}, { fields: ['id', 'stations', 'settings'] })) {
    state.jobs.set(id, stations as Station[]);
    if (settings) isSound('job', id, StationSettings, settings);
  }
  const versions = await em
    .getConnection()
    .execute<{ id: string; version: number }[]>('select id, version from animal where version > 1');
  const versionOf = new Map(versions.map((v) => [v.id, v.version]));
  let newest = '';
  const reader = readBeside(em);
  const other = readBeside(em);
  try {
    const links = ahead(linksBroken(other));
    const read = (type: EntryType) =>
      ahead(
        readAllOf(reader, type, (id) =>
          findings.push({ record: 'entry', id, message: `A ${type} cannot be read.` }),
        ).then((kept) => ({ type, kept })),
      );
    await state.filled(async (apply) => {
      // Kind by kind, so that never all of a large book stands in memory twice; a list of facts is of one kind. The next
      // are read while one is applied.
      const left = arrivalsFirst(await typesThere(reader));
      const coming = left.splice(0, KINDS_AHEAD).map(read);
      for (let next = coming.shift(); next; next = coming.shift()) {
        coming.push(...left.splice(0, 1).map(read));
        const { type, kept } = await next;
        for (const { entry } of kept) if (entry.on > newest) newest = entry.on;
        await applyInOrder(apply, kept, versionOf, ({ id }) =>
          findings.push({ record: 'entry', id, message: `A ${type} does not fit what is in the book.` }),
        );
      }
    });
    findings.push(...(await links), ...clockFindings(newest, today));
  } finally {
    reader.close();
    other.close();
  }
  // Asked of the table: the last entry may be one that cannot be read.
  const [last] = await em.getConnection().execute<{ seq: number | null }[]>('select max(seq) as seq from entry');
  return { state, findings, nextSeq: (last?.seq ?? 0) + 1 };
}

const NO_SCORERS: ScorersSetting = { setRight: [] };
const arrivalsFirst = (types: readonly EntryType[]): EntryType[] =>
  types.toSorted((a, b) => Number(b === 'arrival') - Number(a === 'arrival'));
/** Kinds that are read while one is applied: after a short one, one alone would be waited for. */
const KINDS_AHEAD = 2;
/** Entries applied in one go, before other requests are let on. */
const AT_ONCE = 2_000;
/** Findings named at most: the first say enough. */
const MOST_FINDINGS = 20;

/** Rows that speak of a row that is not there. */
async function linksBroken(reader: BesideReader): Promise<BookFinding[]> {
  const rows = await reader.all<{ table: string; rowid: number | null; parent: string }>('pragma foreign_key_check');
  return rows.slice(0, MOST_FINDINGS).map(({ table, rowid, parent }) => ({
    record: 'link' as const,
    id: `${table} ${rowid ?? ''}`.trim(),
    message: `A row of ${table} speaks of one of ${parent} that is not there.`,
  }));
}

/** A clock that was set back makes facts of today look as if they were still to come. */
function clockFindings(newest: string, today: Day): BookFinding[] {
  return newest > isoOf(today)
    ? [
        {
          record: 'clock',
          id: newest,
          message: 'The newest entry is later than this computer’s day. Check the date of the computer.',
        },
      ]
    : [];
}

/**
 * Applies all entries of a book in the order they were kept, struck ones left out.
 * @throws Error naming the entry that speaks of an animal not in the book
 */
export const applyAll = (state: HoldingState, kept: readonly Pick<KeptEntry, 'entry' | 'struckBy'>[]): Promise<void> =>
  state.filled((apply) => applyInOrder(apply, kept, new Map()));

/** @param onUnfit told of an entry that cannot be applied, which is then left out; without it the entry is thrown */
async function applyInOrder(
  apply: Fill,
  kept: readonly Pick<KeptEntry, 'entry' | 'struckBy'>[],
  versions: ReadonlyMap<string, number>,
  onUnfit?: (entry: AnimalEntry) => void,
): Promise<void> {
  const isSound = listCheck();
  for (const [i, { entry, struckBy }] of kept.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) await breathe();
    if (struckBy !== undefined || !isAnimalEntry(entry)) continue;
    if (onUnfit && !isSound(entry)) {
      onUnfit(entry);
      continue;
    }
    try {
      apply(entry, entry.type === 'arrival' ? recordOf(entry, versions.get(entry.animalId) ?? 1) : undefined);
    } catch (error) {
      if (!onUnfit) throw error;
      onUnfit(entry);
    }
  }
}

/** Whether the lists in an entry are as its class wants them; asked once for each list that is found. */
function listCheck(): (entry: AnimalEntry) => boolean {
  const known = new Map<string, boolean>();
  return (entry) => {
    const lists = LISTS[entry.type];
    if (lists.length === 0) return true;
    const key = JSON.stringify([entry.type, ...lists.map((name) => entry[name as keyof AnimalEntry])]);
    const found = known.get(key) ?? shapeEntry({ ...NOT_READ, ...entry }).kind === 'entry';
    if (known.size < MOST_LISTS) known.set(key, found);
    return found;
  };
}

/** Stands for what is not read of an entry: the schema holds it to its shape. */
const NOT_READ = { writtenAt: '2026-01-01T00:00:00.000Z', source: 'hand' };
/** Lists remembered as good or bad. */
const MOST_LISTS = 50_000;
