import { normalised } from './identifier';
import type { AnimalId } from '../units';

/** One identifier ever worn, as search sees it. */
export interface Searchable {
  readonly animalId: AnimalId;
  readonly text: string;
  /** The text normalised before; where thousands are searched at every keystroke it is not made anew each time. */
  readonly plain?: string;
  readonly isPresent: boolean;
  readonly isWorn: boolean;
}

export type MatchRank = 'exact' | 'ending' | 'containing';

export interface Match<T extends Searchable> {
  readonly rank: MatchRank;
  readonly found: T;
}

const ORDER: Readonly<Record<MatchRank, number>> = { exact: 0, ending: 1, containing: 2 };

/** How a number matches what was typed, both normalised; leading zeros of the last run of digits do not matter. */
function rankOf(plain: string, wanted: string): MatchRank | undefined {
  if (plain === wanted) return 'exact';
  if (plain.endsWith(wanted)) return 'ending';
  return plain.includes(wanted) ? 'containing' : undefined;
}

/**
 * Finds animals by any part of anything they ever wore: exact before ending before containing; present animals first
 * within each, identifiers still worn before old ones. One row an animal, its best match.
 * @param limit at most so many rows
 */
export function searchIdentifiers<T extends Searchable>(all: Iterable<T>, typed: string, limit = 20): Match<T>[] {
  const wanted = normalised(typed);
  if (wanted === '') return [];
  const best = new Map<string, Match<T>>();
  for (const found of all) {
    const rank = rankOf(found.plain ?? normalised(found.text), wanted);
    if (rank === undefined) continue;
    const match = { rank, found };
    const before = best.get(found.animalId);
    if (!before || byRank(match, before) < 0) best.set(found.animalId, match);
  }
  return [...best.values()].sort(byRank).slice(0, limit);
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
