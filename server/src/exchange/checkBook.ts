import {
  BookAnimalRecord,
  BookGroup,
  BookHolding,
  BookJob,
  BookLoad,
  BookOutlet,
  BookPlan,
  BookProduct,
  FiledPicture,
  BookChange,
  KeepDrill,
  KeepTemplate,
  missingOf,
  type ArrivalEntry,
  type BookAnimal,
  type BookFile,
  type Entry,
  say,
} from '@yaylak/contract';
import { applyAll } from '../book/loadBook';
import { HoldingState } from '../book/holdingState';
import { shapeEntry } from '../book/shape';
import { faultsOf, type ClassOf } from '../common/faultsOf';
import { breathe } from '../common/breathe';
import { blankFaults, resourceFaults, standardFaults } from '../records/listFaults';
import { fromOlder } from '../records/olderFigures';
import { overrideFaults } from '../records/overrideFaults';
import { BOOK_LISTS, wrong, type BookList, type BookRecord } from './readRecords';

/** The class each list's records are checked by. */
const SHAPES: Readonly<Record<Exclude<BookList, 'entries'>, ClassOf>> = {
  groups: BookGroup,
  jobs: BookJob,
  products: BookProduct,
  plans: BookPlan,
  drills: KeepDrill,
  changes: BookChange,
  templates: KeepTemplate,
  outlets: BookOutlet,
  loads: BookLoad,
  animals: BookAnimalRecord,
  photos: FiledPicture,
};
/** Records looked at in one go, before others are let on. */
const AT_ONCE = 500;

/** A book that can be written as it is: its entries are instances of their classes. Its pictures lie where they belong. */
export type CheckedBook = Required<Omit<BookFile, 'format' | 'formatVersion' | 'photos'>>;

/**
 * Looks at every record of a book file as the API looks at what it takes, and at what they say of each other. Rules of
 * the day an entry was kept on are not asked again: a sex or a birth may have been corrected since.
 * @param keepPicture told of each picture as it comes: a thousand of them are not held
 * @throws ProblemException naming the first record that cannot be, by its place in the file and its line
 */
export async function checkBook(
  records: AsyncIterable<BookRecord>,
  keepPicture: (picture: FiledPicture) => void = () => undefined,
): Promise<CheckedBook> {
  const book = emptyBook();
  const ids = new Map(Object.keys(BOOK_LISTS).map((list) => [list, new Set<string>()]));
  const lines: number[] = [];
  for await (const record of records) {
    const { part, value } = record;
    if (part === 'holding') {
      book.holding = brought(value as BookFile['holding']);
      checkHolding(book.holding);
      continue;
    }
    const kept = part === 'entries' ? shapedEntry(record) : checkRecord(record, SHAPES[part]);
    const known = ids.get(part) as Set<string>;
    if (known.has(kept.id))
      throw wrong(
        `${part}.${record.index}.id`,
        say('{place} stands in the file twice ({id}).', { place: placeOf(record), id: kept.id }),
      );
    known.add(kept.id);
    if (part === 'photos') {
      keepPicture(kept as FiledPicture);
      continue;
    }
    (book[part] as object[]).push(kept);
    if (part === 'entries') lines.push(record.line);
  }
  book.plans.forEach(({ facts }, i) => {
    const missing = missingOf(facts);
    if (missing.length > 0)
      throw wrong(`plans.${i}`, say('Plan {n} lacks {list}.', { n: i + 1, list: missing.join(', ') }));
  });
  checkParents(book.animals);
  await checkReferences(book.entries, ids, lines);
  await checkStanding(book);
  return book;
}

type Filling = { -readonly [K in keyof CheckedBook]: CheckedBook[K] };
const emptyBook = (): Filling => ({
  holding: {} as BookFile['holding'],
  groups: [],
  jobs: [],
  products: [],
  plans: [],
  drills: [],
  changes: [],
  templates: [],
  outlets: [],
  loads: [],
  animals: [],
  entries: [],
});

const placeOf = ({ part, index, line }: BookRecord): string =>
  part === 'entries'
    ? say('Entry {n} (line {line})', { n: index + 1, line })
    : say('Number {n} of the {part} (line {line})', { n: index + 1, part, line });

function checkRecord(record: BookRecord, shape: ClassOf): { readonly id: string } {
  const { part, index, value } = record;
  const [fault] = faultsOf(shape, value);
  if (fault)
    throw wrong(`${part}.${index}${fault.field ? `.${fault.field}` : ''}`, `${placeOf(record)}: ${fault.message}`);
  return value as { id: string };
}

function shapedEntry(record: BookRecord): Entry {
  const shaped = shapeEntry(record.value);
  if (shaped.kind === 'entry') return shaped.entry;
  throw wrong(`entries.${record.index}`, `${placeOf(record)}: ${shaped.faults.map((f) => f.message).join(' ')}`);
}

/** A file of an earlier version may say some figures in another way. */
const brought = (holding: BookFile['holding']): BookFile['holding'] =>
  (holding as BookFile['holding'] | null)?.species === undefined
    ? holding
    : { ...holding, species: fromOlder(holding.species) as NonNullable<BookFile['holding']['species']> };

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
      faults.push({ field, message: say('The settings lack “{field}”.', { field }) });
  const [first] = faults;
  if (first)
    throw wrong(`holding.${first.field}`, say('Settings: {list}', { list: faults.map((f) => f.message).join(' ') }));
}

function checkParents(animals: BookFile['animals']): void {
  const byId = new Map(animals.map((a) => [a.id, a]));
  for (const [i, animal] of animals.entries())
    for (const [field, sex] of [
      ['damId', 'female'],
      ['donorId', 'female'],
      ['sireId', 'male'],
    ] as const) {
      const parentId = animal[field] ?? undefined;
      if (parentId === undefined) continue;
      const parent = byId.get(parentId);
      const at = say('Number {n} of the animals', { n: i + 1 });
      if (!parent) throw wrong(`animals.${i}.${field}`, say('{at} has a parent that is not in the file.', { at }));
      if (parent.species !== animal.species)
        throw wrong(`animals.${i}.${field}`, say('{at} has a parent of another species.', { at }));
      // A sire may have been castrated since.
      if ((sex === 'female') !== (parent.sex === 'female'))
        throw wrong(
          `animals.${i}.${field}`,
          say('{at} has a {sex} as its {value}.', {
            at,
            sex: say(parent.sex),
            value: sex === 'female' ? say('dam') : say('sire'),
          }),
        );
    }
  const looped = inLoop(animals);
  if (looped !== undefined)
    throw wrong(
      `animals.${looped}`,
      say('Number {n} of the animals is its own ancestor. Correct its parents.', { n: looped + 1 }),
    );
}

/** An animal that is its own ancestor, by its place in the list: parents are taken away until none is left without. */
function inLoop(animals: BookFile['animals']): number | undefined {
  const waits = new Map<string, number>();
  const youngOf = new Map<string, string[]>();
  for (const { id, damId, donorId, sireId } of animals) {
    const parents = [damId, donorId, sireId].filter((p): p is string => p !== null && p !== undefined);
    waits.set(id, parents.length);
    for (const parent of parents) {
      const young = youngOf.get(parent);
      if (young) young.push(id);
      else youngOf.set(parent, [id]);
    }
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
  ['donorId', 'animals'],
  ['sireId', 'animals'],
  ['maleIds', 'animals'],
  ['identifierId', 'entries'],
  ['stayId', 'entries'],
  ['sampleId', 'entries'],
  ['entryId', 'entries'],
];

/** What entries say of other records, and of entries before them. */
async function checkReferences(
  entries: readonly Entry[],
  ids: ReadonlyMap<string, ReadonlySet<string>>,
  lines: readonly number[],
): Promise<void> {
  const before = new Set<string>();
  const struck = new Set<string>();
  for (const [i, entry] of entries.entries()) {
    if (i % AT_ONCE === 0) await breathe();
    const at = (): string => say('Entry {n} (line {line})', { n: i + 1, line: lines[i] ?? 0 });
    for (const [field, part] of REFERENCES) {
      const value = (entry as unknown as Record<string, unknown>)[field];
      const known = part === 'entries' ? before : ids.get(part);
      for (const id of value === undefined ? [] : [value].flat())
        if (!known?.has(id as string))
          throw wrong(
            `entries.${i}.${field}`,
            say('{at} speaks of one of the {part} that is not in the file{value} ({field}).', {
              at: at(),
              part,
              value: part === 'entries' ? ` ${say('before it')}` : '',
              field,
            }),
          );
    }
    if (entry.type === 'strike') {
      if (struck.has(entry.entryId))
        throw wrong(`entries.${i}.entryId`, say('{at} strikes out one that is struck out already.', { at: at() }));
      struck.add(entry.entryId);
    }
    before.add(entry.id);
  }
}

/** What an animal's record and its arrival both say: one row of the book. */
const RECORD_FIELDS = [
  'species',
  'sex',
  'bornOn',
  'damId',
  'donorId',
  'sireId',
  'birthType',
  'rearingType',
  'strain',
  'boughtMinor',
  'birthKnownTo',
] as const satisfies readonly (keyof BookAnimal & keyof ArrivalEntry)[];

/** Tried on an empty state first: a book that cannot be read back must not be written. */
async function checkStanding({ animals, entries }: CheckedBook): Promise<void> {
  const struckBy = new Map(entries.flatMap((e) => (e.type === 'strike' ? [[e.entryId, e.id] as const] : [])));
  const state = new HoldingState();
  try {
    await applyAll(
      state,
      entries.map((entry) => ({ entry, struckBy: struckBy.get(entry.id) })),
    );
  } catch (error) {
    throw wrong('entries', say('The file does not hang together: {message}.', { message: (error as Error).message }));
  }
  const arrived = new Set(entries.flatMap((e) => (e.type === 'arrival' ? [e.animalId] : [])));
  const byId = new Map(animals.map((a, i) => [a.id, { a, i }]));
  for (const e of entries) {
    if (e.type !== 'arrival') continue;
    const { a, i } = byId.get(e.animalId) as { a: BookAnimal; i: number };
    const field = RECORD_FIELDS.find((f) => (a[f] ?? null) !== (e[f] ?? null));
    if (field !== undefined)
      throw wrong(
        `animals.${i}.${field}`,
        say('Number {n} of the animals says another {field} than its arrival. Write the file out again.', {
          n: i + 1,
          field,
        }),
      );
  }
  const lost = animals.findIndex((a) => !arrived.has(a.id));
  if (lost >= 0)
    throw wrong(
      `animals.${lost}`,
      say('Number {n} of the animals never came: the file has no arrival of it.', { n: lost + 1 }),
    );
}
