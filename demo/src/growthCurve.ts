/** A Brody curve: the true weight of a made-up animal at an age, before gut fill and scale. */
export function trueWeight(input: {
  readonly birthKg: number;
  readonly matureKg: number;
  readonly ratePerDay: number;
  readonly ageDays: number;
}): number {
  const { birthKg, matureKg, ratePerDay, ageDays } = input;
  return matureKg - (matureKg - birthKg) * Math.exp(-ratePerDay * ageDays);
}
