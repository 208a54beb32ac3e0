import { fieldWord, SPECIES_WORDS, type Sex, type Species } from '../species';
import type { AnimalId, Days } from '../units';
import { normalised, TAG_COLOURS, type TagColour } from './identifier';

/** One identifier ever worn, as search sees it. */
export interface Searchable {
  readonly animalId: AnimalId;
  readonly text: string;
  /** The text normalised before; where thousands are searched at every keystroke it is not made anew each time. */
  readonly plain?: string;
  readonly isPresent: boolean;
  readonly isWorn: boolean;
}

/** `alike`: the same but for leading zeros, `26/17` for `26-0017`. */
export type MatchRank = 'exact' | 'alike' | 'ending' | 'containing';

export interface Match<T extends Searchable> {
  readonly rank: MatchRank;
  readonly found: T;
}

const ORDER: Readonly<Record<MatchRank, number>> = { exact: 0, alike: 1, ending: 2, containing: 3 };

/** A number without the leading zeros of its runs of digits: `26-0017` and `2617` are alike. */
const withoutZeros = (text: string): string => normalised(text.replace(/\d+/g, (run) => run.replace(/^0+(?=\d)/, '')));
/** Only such a number can be another one without its zeros; of most it need not be asked. */
const HAS_ZERO = /(^|\D)0\d/;

interface Wanted {
  readonly plain: string;
  readonly slim: string;
}

/** How a number matches what was typed. */
function rankOf({ text, plain = normalised(text) }: Searchable, wanted: Wanted): MatchRank | undefined {
  if (plain === wanted.plain) return 'exact';
  if ((HAS_ZERO.test(text) ? withoutZeros(text) : plain) === wanted.slim) return 'alike';
  if (plain.endsWith(wanted.plain)) return 'ending';
  return plain.includes(wanted.plain) ? 'containing' : undefined;
}

/**
 * Finds animals by any part of anything they ever wore: exact before alike before ending before containing; present
 * animals first within each, identifiers still worn before old ones. One row an animal, its best match.
 * @param limit at most so many rows
 */
export function searchIdentifiers<T extends Searchable>(all: Iterable<T>, typed: string, limit = 20): Match<T>[] {
  const wanted = { plain: normalised(typed), slim: withoutZeros(typed) };
  if (wanted.plain === '') return [];
  const best = new Map<string, Match<T>>();
  for (const found of all) {
    const rank = rankOf(found, wanted);
    if (rank === undefined) continue;
    const match = { rank, found };
    const before = best.get(found.animalId);
    if (!before || byRank(match, before) < 0) best.set(found.animalId, match);
  }
  return [...best.values()].sort(byRank).slice(0, limit);
}

/** An identifier with what its animal is called by in the yard. */
export interface Described extends Searchable {
  readonly colour: TagColour | null;
  readonly species: Species;
  readonly sex: Sex;
  readonly ageDays: Days | undefined;
  /** What it is called in another language: `dişi kuzu`. */
  readonly said?: readonly string[];
}

/** The words an animal may be meant by: `ewe lamb`, `lamb`, `sheep`. */
function kindWords(animal: Described): readonly string[] {
  const { name, plural } = SPECIES_WORDS[animal.species];
  const words = [
    ...(animal.said ?? []),
    animal.species,
    name,
    plural,
    fieldWord(animal, animal.ageDays),
    fieldWord(animal, animal.ageDays, true),
  ];
  return words.flatMap((w) => w.toLowerCase().split(' '));
}

/**
 * Finds animals as they are called across a yard: by a number, and by a colour or a kind beside it ("red 17", "ewe 7");
 * by these alone, all of them. A name that is a colour is a name first.
 */
export function searchAnimals<T extends Described>(all: readonly T[], typed: string, limit = 20): Match<T>[] {
  const direct = searchIdentifiers(all, typed, limit);
  if (direct.length > 0) return direct;
  const words = typed.trim().toLowerCase().split(/\s+/);
  const colours = words.filter((w) => (TAG_COLOURS as readonly string[]).includes(w));
  const others = words.filter((w) => !colours.includes(w));
  const isKind = (word: string): boolean => /^\p{L}+$/u.test(word) && all.some((a) => kindWords(a).includes(word));
  const kinds = others.filter(isKind);
  const number = others.filter((w) => !kinds.includes(w)).join(' ');
  if (colours.length + kinds.length === 0) return [];
  const among = all.filter((a) => {
    if (colours.length > 0 && !colours.includes(a.colour ?? '')) return false;
    const own = kinds.length > 0 ? kindWords(a) : [];
    return kinds.every((k) => own.includes(k));
  });
  return number === '' ? everyOne(among, limit) : searchIdentifiers(among, number, limit);
}

/** One row an animal, those that are here first. */
function everyOne<T extends Searchable>(rows: readonly T[], limit: number): Match<T>[] {
  const first = new Map<string, Match<T>>();
  for (const found of rows) if (!first.has(found.animalId)) first.set(found.animalId, { rank: 'containing', found });
  return [...first.values()].sort(byRank).slice(0, limit);
}

function byRank(a: Match<Searchable>, b: Match<Searchable>): number {
  return (
    ORDER[a.rank] - ORDER[b.rank] ||
    Number(b.found.isPresent) - Number(a.found.isPresent) ||
    Number(b.found.isWorn) - Number(a.found.isWorn) ||
    a.found.text.length - b.found.text.length ||
    (a.found.text < b.found.text ? -1 : a.found.text > b.found.text ? 1 : 0)
  );
}

export type Resolved =
  | { readonly kind: 'one'; readonly animalId: AnimalId }
  | { readonly kind: 'none' }
  | { readonly kind: 'several'; readonly animalIds: readonly AnimalId[] };

/**
 * The one animal a number in a file means: whole numbers only, the present wearer before past ones. Two present
 * wearers (other colour, other species) are an answer of their own.
 */
export function resolveIdentifier(all: Iterable<Searchable>, typed: string): Resolved {
  const wanted = normalised(typed);
  const past = new Set<string>();
  const present = new Set<string>();
  for (const one of all)
    if (normalised(one.text) === wanted) (one.isPresent && one.isWorn ? present : past).add(one.animalId);
  const wearers = present.size > 0 ? present : past;
  const animalIds = [...wearers];
  if (animalIds.length === 0) return { kind: 'none' };
  return animalIds.length === 1 ? { kind: 'one', animalId: animalIds[0] as string } : { kind: 'several', animalIds };
}
