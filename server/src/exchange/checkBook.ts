import {
  BookAnimalRecord,
  BookGroup,
  BookHolding,
  BookJob,
  BookPlan,
  BookProduct,
  BOOK_FORMAT,
  BOOK_FORMAT_VERSION,
  KeepDrill,
  KeepTemplate,
  missingOf,
  type BookFile,
  type Entry,
} from '@yaylak/contract';
import { applyAll } from '../book/loadBook';
import { HoldingState } from '../book/holdingState';
import { shapeEntry } from '../book/shape';
import { faultsOf, type ClassOf } from '../common/faultsOf';
import { badFields, type ProblemException } from '../common/problems';
import { blankFaults, resourceFaults, standardFaults } from '../holding/listFaults';
import { overrideFaults } from '../holding/overrideFaults';

/** Lists of records by their name in the file, each with the class it is checked by; the last may be missing in old files. */
const PARTS: readonly (readonly [part: keyof BookFile, shape: ClassOf, isNeeded: boolean])[] = [
  ['groups', BookGroup, true],
  ['jobs', BookJob, true],
  ['animals', BookAnimalRecord, true],
  ['products', BookProduct, false],
  ['plans', BookPlan, false],
  ['drills', KeepDrill, false],
  ['templates', KeepTemplate, false],
];
/** Records looked at in one go, before others are let on. */
const AT_ONCE = 500;
const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

const wrong = (field: string, message: string): ProblemException => badFields([{ field, message }]);

/**
 * Looks at every record of a book file as the API looks at what it takes, and at what they say of each other. Rules of
 * the day an entry was kept on are not asked again: a sex or a birth may have been corrected since.
 * @returns its entries, in order
 * @throws ProblemException naming the first record that cannot be, by its place in the file
 */
export async function checkBook(file: BookFile): Promise<Entry[]> {
  checkForm(file);
  checkHolding(file.holding);
  const ids = new Map<keyof BookFile, Set<string>>();
  for (const [part, shape, isNeeded] of PARTS) {
    const list = file[part] as readonly unknown[] | undefined;
    if (!Array.isArray(list)) {
      if (list !== undefined || isNeeded)
        throw wrong(part, `The file has no list of ${part}. It may have been cut off; write it out again.`);
      ids.set(part, new Set());
      continue;
    }
    ids.set(part, await checkPart(part, shape, list));
  }
  file.plans?.forEach(({ facts }, i) => {
    const missing = missingOf(facts);
    if (missing.length > 0) throw wrong(`plans.${i}`, `Plan ${i + 1} lacks ${missing.join(', ')}.`);
  });
  checkParents(file);
  const entries = await checkEntries(file.entries, ids);
  checkStanding(file, entries);
  return entries;
}

function checkForm(file: BookFile): void {
  if (typeof file !== 'object' || file?.format !== BOOK_FORMAT)
    throw wrong(
      'format',
      'This is not a book written by Yaylak. Choose the file that was written with “The whole book”.',
    );
  const { formatVersion } = file as { formatVersion: unknown };
  if (typeof formatVersion !== 'number' || !Number.isInteger(formatVersion) || formatVersion < 1)
    throw wrong('formatVersion', 'The file does not say in which form it was written. Write it out again.');
  if (formatVersion > BOOK_FORMAT_VERSION)
    throw wrong(
      'formatVersion',
      `This book was written in form ${formatVersion}; this Yaylak reads up to form ${BOOK_FORMAT_VERSION}. Use a newer Yaylak.`,
    );
}

function checkHolding(holding: BookFile['holding']): void {
  const faults = faultsOf(BookHolding, holding);
  if (faults.length === 0)
    faults.push(
      ...overrideFaults(holding.species ?? {}),
      ...standardFaults(holding.standards ?? []),
      ...blankFaults(holding.blankTags ?? []),
      ...resourceFaults(holding.resources),
    );
  for (const field of ['name', 'keeper', 'unit', 'currency', 'pointsWeights', 'species'] as const)
    if (faults.length === 0 && holding[field] === undefined)
      faults.push({ field, message: `The settings lack “${field}”.` });
  const [first] = faults;
  if (first) throw wrong(`holding.${first.field}`, `Settings: ${faults.map((f) => f.message).join(' ')}`);
}

async function checkPart(part: string, shape: ClassOf, list: readonly unknown[]): Promise<Set<string>> {
  const ids = new Set<string>();
  for (const [i, raw] of list.entries()) {
    if (i % AT_ONCE === 0) await breathe();
    const [fault] = faultsOf(shape, raw);
    const at = `Number ${i + 1} of the ${part}`;
    if (fault) throw wrong(`${part}.${i}${fault.field ? `.${fault.field}` : ''}`, `${at}: ${fault.message}`);
    const { id } = raw as { id: string };
    if (ids.has(id)) throw wrong(`${part}.${i}.id`, `${at} stands in the file twice (${id}).`);
    ids.add(id);
  }
  return ids;
}

function checkParents(file: BookFile): void {
  const byId = new Map(file.animals.map((a) => [a.id, a]));
  for (const [i, animal] of file.animals.entries())
    for (const [field, sex] of [
      ['damId', 'female'],
      ['sireId', 'male'],
    ] as const) {
      const parentId = animal[field] ?? undefined;
      if (parentId === undefined) continue;
      const parent = byId.get(parentId);
      const at = `Number ${i + 1} of the animals`;
      if (!parent) throw wrong(`animals.${i}.${field}`, `${at} has a parent that is not in the file.`);
      if (parent.species !== animal.species)
        throw wrong(`animals.${i}.${field}`, `${at} has a parent of another species.`);
      // A sire may have been castrated since.
      if ((sex === 'female') !== (parent.sex === 'female'))
        throw wrong(`animals.${i}.${field}`, `${at} has a ${parent.sex} as its ${sex === 'female' ? 'dam' : 'sire'}.`);
    }
  const looped = inLoop(file.animals);
  if (looped !== undefined)
    throw wrong(`animals.${looped}`, `Number ${looped + 1} of the animals is its own ancestor. Correct its parents.`);
}

/** An animal that is its own ancestor, by its place in the list: parents are taken away until none is left without. */
function inLoop(animals: BookFile['animals']): number | undefined {
  const waits = new Map<string, number>();
  const youngOf = new Map<string, string[]>();
  for (const { id, damId, sireId } of animals) {
    const parents = [damId, sireId].filter((p): p is string => p !== null && p !== undefined);
    waits.set(id, parents.length);
    for (const parent of parents) youngOf.set(parent, [...(youngOf.get(parent) ?? []), id]);
  }
  const free = [...waits].flatMap(([id, n]) => (n === 0 ? [id] : []));
  for (let id = free.pop(); id !== undefined; id = free.pop()) {
    waits.delete(id);
    for (const young of youngOf.get(id) ?? []) {
      const left = (waits.get(young) ?? 0) - 1;
      waits.set(young, left);
      if (left === 0) free.push(young);
    }
  }
  const at = animals.findIndex((a) => waits.has(a.id));
  return at < 0 ? undefined : at;
}

/** Fields of entries that name another record, and the list it must be in. */
const REFERENCES: readonly (readonly [field: string, part: keyof BookFile])[] = [
  ['animalId', 'animals'],
  ['jobId', 'jobs'],
  ['groupId', 'groups'],
  ['productId', 'products'],
  ['damId', 'animals'],
  ['sireId', 'animals'],
  ['maleIds', 'animals'],
  ['identifierId', 'entries'],
  ['stayId', 'entries'],
  ['sampleId', 'entries'],
  ['entryId', 'entries'],
];

async function checkEntries(
  list: readonly unknown[],
  ids: ReadonlyMap<keyof BookFile, ReadonlySet<string>>,
): Promise<Entry[]> {
  if (!Array.isArray(list))
    throw wrong('entries', 'The file has no list of entries. It may have been cut off; write it out again.');
  const seen = new Set<string>();
  const struck = new Set<string>();
  const entries: Entry[] = [];
  for (const [i, raw] of (list as readonly unknown[]).entries()) {
    if (i % AT_ONCE === 0) await breathe();
    const shaped = shapeEntry(raw);
    if (shaped.kind === 'faulty')
      throw wrong(`entries.${i}`, `Entry ${i + 1}: ${shaped.faults.map((f) => f.message).join(' ')}`);
    const { entry } = shaped;
    if (seen.has(entry.id)) throw wrong(`entries.${i}.id`, `Entry ${i + 1} stands in the file twice (${entry.id}).`);
    for (const [field, part] of REFERENCES) {
      const value = (entry as unknown as Record<string, unknown>)[field];
      const known = part === 'entries' ? seen : (ids.get(part) as ReadonlySet<string>);
      for (const id of value === undefined ? [] : [value].flat())
        if (!known.has(id as string))
          throw wrong(
            `entries.${i}.${field}`,
            `Entry ${i + 1} speaks of one of the ${part} that is not in the file${part === 'entries' ? ' before it' : ''} (${field}).`,
          );
    }
    if (entry.type === 'strike') {
      if (struck.has(entry.entryId))
        throw wrong(`entries.${i}.entryId`, `Entry ${i + 1} strikes out one that is struck out already.`);
      struck.add(entry.entryId);
    }
    seen.add(entry.id);
    entries.push(entry);
  }
  return entries;
}

/** Tried on an empty state first: a book that cannot be read back must not be written. */
function checkStanding(file: BookFile, entries: readonly Entry[]): void {
  const struckBy = new Map(entries.flatMap((e) => (e.type === 'strike' ? [[e.entryId, e.id] as const] : [])));
  const state = new HoldingState();
  try {
    applyAll(
      state,
      entries.map((entry) => ({ entry, struckBy: struckBy.get(entry.id) })),
      new Map(),
    );
  } catch (error) {
    throw wrong('entries', `The file does not hang together: ${(error as Error).message}.`);
  }
  const arrived = new Set(entries.flatMap((e) => (e.type === 'arrival' ? [e.animalId] : [])));
  const lost = file.animals.findIndex((a) => !arrived.has(a.id));
  if (lost >= 0)
    throw wrong(`animals.${lost}`, `Number ${lost + 1} of the animals never came: the file has no arrival of it.`);
}
