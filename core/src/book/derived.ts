import type { Day } from '../calendar';
import { correctedKg, dailyReadings, isGuess, type Reading, type ScaleBias } from '../growth';
import type { AnimalFacts } from './facts';
import type { IdentifierFact } from './kinds/identifier';
import type { MarkFact } from './kinds/mark';

/** Whether an animal is on the holding: not departed by that day. */
export const isPresent = (facts: AnimalFacts, asOf: Day): boolean => !facts.departures.some((d) => d.on <= asOf);

/** The group an animal is in on a day: that of its last move. */
export function groupOn(facts: AnimalFacts, asOf: Day): string | undefined {
  for (let i = facts.moves.length - 1; i >= 0; i--) {
    const move = facts.moves[i];
    if (move && move.on <= asOf) return move.groupId;
  }
  return undefined;
}

/** Spray marks that can be seen on a day: made by then, and their day not over. */
export const marksOn = (facts: AnimalFacts, asOf: Day): MarkFact[] =>
  facts.marks.filter((m) => m.on <= asOf && (m.until === undefined || m.until >= asOf));

/** Identifiers still worn. */
export const wornIdentifiers = (facts: AnimalFacts): IdentifierFact[] =>
  facts.identifiers.filter((i) => !facts.identifierEnds.some((e) => e.identifierId === i.entryId));

/**
 * The identifier an animal is shown by: the last visual tag worn, else any other worn, else the last it ever had.
 */
export function mainIdentifier(
  facts: AnimalFacts,
): { readonly identifier: IdentifierFact; readonly isWorn: boolean } | undefined {
  const worn = wornIdentifiers(facts);
  const best = worn.findLast((i) => i.kind === 'visual') ?? worn.findLast((i) => i.kind === 'tattoo') ?? worn.at(-1);
  if (best) return { identifier: best, isWorn: true };
  const last = facts.identifiers.findLast((i) => i.kind === 'visual') ?? facts.identifiers.at(-1);
  return last && { identifier: last, isWorn: false };
}

/**
 * An animal's readings as `dailyReadings` gives them, a tape or an eye set right first where its hand's bias is known.
 * @param biases by `biasKey`
 */
export function dailyWeights(
  { weights, record }: AnimalFacts,
  biases?: ReadonlyMap<string, ScaleBias>,
): readonly Reading[] {
  if (!biases || biases.size === 0 || !weights.some((w) => isGuess(w.method))) return dailyReadings(weights);
  return dailyReadings(
    weights.map((w) => ({ ...w, kg: correctedKg({ ...w, species: record.species }, biases) ?? w.kg })),
  );
}
