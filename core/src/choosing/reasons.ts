import type { Breakdown } from '../growth';
import type { Placed } from './line';
import type { RankTrait } from './traits';

/** Why an animal stands where it stands; the interface makes words of it. */
export type ChoosingReason =
  | { readonly code: 'trait'; readonly trait: RankTrait; readonly points: number }
  | { readonly code: 'not-measured'; readonly trait: RankTrait }
  | { readonly code: 'near-line'; readonly chanceAcross: number }
  | {
      readonly code: 'heavier-than-worth';
      readonly place: number;
      readonly placeByWeight: number;
      readonly part: BreakdownPart;
      readonly grams: number;
    }
  | {
      readonly code: 'lighter-than-worth';
      readonly place: number;
      readonly placeByWeight: number;
      readonly part: BreakdownPart;
      readonly grams: number;
    };

export type BreakdownPart = Exclude<keyof Breakdown['parts'], 'likeForLike'>;

/** Points below which a trait is no reason. */
const NOTABLE_POINTS = 1;
/** Places between weight and worth that want a word. */
const NOTABLE_PLACES = 3;

/**
 * Reasons for a place, strongest first: traits that move the index, traits not measured, a place the bare weight does
 * not explain with the largest part of the difference, and nearness to the line.
 */
export function reasonsFor(
  row: Placed,
  growth: { readonly breakdown: Breakdown; readonly placeByWeight: number } | undefined,
): ChoosingReason[] {
  const traits = [...row.parts].sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
  const reasons: ChoosingReason[] = [];
  if (growth && Math.abs(row.place - growth.placeByWeight) >= NOTABLE_PLACES) {
    const isHeavier = growth.placeByWeight < row.place;
    const sign = isHeavier ? 1 : -1;
    const { age, birthType, sex, damAge } = growth.breakdown.parts;
    const parts: [BreakdownPart, number][] = [
      ['age', age],
      ['birthType', birthType],
      ['sex', sex],
      ['damAge', damAge],
    ];
    const [part, grams] = parts.sort((a, b) => sign * (b[1] - a[1]))[0] as [BreakdownPart, number];
    if (sign * grams > 0)
      reasons.push({
        code: isHeavier ? 'heavier-than-worth' : 'lighter-than-worth',
        place: row.place,
        placeByWeight: growth.placeByWeight,
        part,
        grams,
      });
  }
  for (const { trait, points, value } of traits) {
    if (value === undefined) reasons.push({ code: 'not-measured', trait });
    else if (Math.abs(points) >= NOTABLE_POINTS) reasons.push({ code: 'trait', trait, points });
  }
  if (row.isGrey) reasons.push({ code: 'near-line', chanceAcross: row.chanceAcross });
  return reasons;
}
