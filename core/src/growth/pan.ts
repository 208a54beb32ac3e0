import type { Kilograms } from '../units';

/** No pan or basket a hand lifts onto a scale weighs more. Rule of thumb. */
const HEAVIEST_PAN_KG = 25;

/** Whether a pan cannot weigh so much, with what was likely meant: grams typed for kilograms. */
export function unlikelyPan(kg: Kilograms): { readonly likelyKg: Kilograms | undefined } | undefined {
  if (kg <= HEAVIEST_PAN_KG) return undefined;
  const likelyKg = Number((kg / 1000).toPrecision(6));
  return { likelyKg: likelyKg <= HEAVIEST_PAN_KG ? likelyKg : undefined };
}
