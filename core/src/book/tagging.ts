import type { Day } from '../calendar';
import { normalised } from '../identity';
import { isPresent, wornIdentifiers } from './derived';
import type { AnimalFacts } from './facts';
import type { IdentifierFact } from './kinds/identifier';
import type { IdentifierEnd } from './kinds/identifierEnd';
import type { AnimalId } from '../units';

/** Why an animal wants a tag, the most pressing first. */
export const TAG_NEEDS = ['none-worn', 'lost-one', 'too-few'] as const;
export type TagNeed = (typeof TAG_NEEDS)[number];

export interface LostTag {
  readonly identifier: IdentifierFact;
  readonly end: IdentifierEnd;
}

export interface Tagging {
  /** Tags and tattoos still worn; a name is none. */
  readonly worn: readonly IdentifierFact[];
  /** Lost or taken out, and none of the kind fitted since; the last lost last. */
  readonly lost: readonly LostTag[];
  readonly need: TagNeed | undefined;
}

const isTag = (identifier: IdentifierFact): boolean => identifier.kind !== 'name';

/**
 * What an animal wears, what it lost for good, and whether it wants a tag.
 * @param advised how many identifiers the holding wants on an animal of the species
 */
export function tagging(facts: AnimalFacts, advised: number): Tagging {
  const worn = wornIdentifiers(facts).filter(isTag);
  const lost = facts.identifierEnds.flatMap((end): LostTag[] => {
    const identifier = facts.identifiers.find((i) => i.entryId === end.identifierId);
    if (!identifier || !isTag(identifier)) return [];
    // One fitted on the day of the loss stands for it; one fitted before it did not.
    const isReplaced = worn.some((i) => i.kind === identifier.kind && i.on >= end.on);
    return isReplaced ? [] : [{ identifier, end }];
  });
  return { worn, lost, need: needOf(worn.length, lost.length, advised) };
}

function needOf(worn: number, lost: number, advised: number): TagNeed | undefined {
  if (worn >= advised) return undefined;
  if (worn === 0) return 'none-worn';
  return lost > 0 ? 'lost-one' : 'too-few';
}

/** One who wears or wore a number, and from when to when. */
export interface Wearer {
  readonly animalId: AnimalId;
  readonly from: Day;
  /** Undefined while it is worn. */
  readonly until: Day | undefined;
}

export interface SharedNumber {
  readonly text: string;
  readonly colour: string | undefined;
  readonly kind: IdentifierFact['kind'];
  /** In order of fitting. */
  readonly wearers: readonly Wearer[];
  /** Whether two that are here wear it now: they cannot be told apart. */
  readonly isNow: boolean;
}

/**
 * Numbers that more than one animal wears or wore, in one colour and kind; those of now first. Names may be shared and
 * are left out.
 */
export function sharedNumbers(animals: Iterable<AnimalFacts>, asOf: Day): SharedNumber[] {
  const byNumber = new Map<string, { first: IdentifierFact; wearers: Wearer[]; now: Set<string> }>();
  for (const facts of animals) {
    const isHere = isPresent(facts, asOf);
    const goneOn = facts.departures[0]?.on;
    for (const identifier of facts.identifiers) {
      if (!isTag(identifier)) continue;
      const key = `${identifier.kind} ${identifier.colour ?? ''} ${normalised(identifier.text)}`;
      const shared = byNumber.get(key) ?? { first: identifier, wearers: [], now: new Set<string>() };
      byNumber.set(key, shared);
      const ended = facts.identifierEnds.find((e) => e.identifierId === identifier.entryId)?.on;
      const until = ended ?? (isHere ? undefined : goneOn);
      shared.wearers.push({ animalId: facts.record.id, from: identifier.on, until });
      if (until === undefined) shared.now.add(facts.record.id);
    }
  }
  return [...byNumber.values()]
    .filter(({ wearers }) => new Set(wearers.map((w) => w.animalId)).size > 1)
    .map(({ first, wearers, now }) => ({
      text: first.text,
      colour: first.colour,
      kind: first.kind,
      wearers: wearers.sort((a, b) => a.from - b.from),
      isNow: now.size > 1,
    }))
    .sort((a, b) => Number(b.isNow) - Number(a.isNow) || (a.text < b.text ? -1 : a.text > b.text ? 1 : 0));
}
