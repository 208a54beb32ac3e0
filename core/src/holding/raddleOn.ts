import type { AnimalFacts, StayFact } from '../book';
import type { Day } from '../calendar';

/** The colour a male wears on a day of a stay, and since when; undefined where he wears none. */
export function raddleOn(
  { harnesses }: Pick<AnimalFacts, 'harnesses'>,
  { entryId, on: putInOn, colour: first }: StayFact,
  on: Day,
): { readonly colour: string; readonly since: Day } | undefined {
  const change = harnesses.findLast((h) => h.stayId === entryId && h.on <= on);
  const colour = change?.colour ?? first;
  return colour === undefined ? undefined : { colour, since: change?.on ?? putInOn };
}
