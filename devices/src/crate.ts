/** A crate's load over time, as its load cells would give it. Milliseconds and kilograms. */
export interface Crate {
  /** An animal of this weight walks in. */
  enter(kg: number, atMs: number): void;
  leave(atMs: number): void;
  /** What the indicator shows at a moment. */
  read(atMs: number): number;
  isEmpty(): boolean;
}

/** It steps about for so long before it stands, and swings this share of its weight meanwhile. */
const STEPS_MS = 500;
const SWING_SHARE = 0.25;
/** Breathing and the floor leave this share once it stands. */
const STANDING_SHARE = 0.002;
const LEAVES_MS = 200;
/** The indicator's own step. */
const STEP_KG = 0.1;

/**
 * @param random between 0 and 1, so that a run can be told again
 * @param haste how many times faster than life an animal steps in and out
 */
export function createCrate(random: () => number, haste = 1): Crate {
  let kg = 0;
  let since = 0;
  let leftAt: number | undefined;
  const noise = (): number => 2 * random() - 1;
  return {
    enter(weight, atMs) {
      kg = weight;
      since = atMs;
      leftAt = undefined;
    },
    leave(atMs) {
      leftAt ??= atMs;
    },
    read(atMs) {
      const gone = leftAt === undefined ? 0 : ((atMs - leftAt) * haste) / LEAVES_MS;
      if (gone >= 1) kg = 0;
      const standing = Math.min(1, ((atMs - since) * haste) / STEPS_MS);
      const load = leftAt === undefined ? kg * (standing < 1 ? 0.6 * standing + 0.4 : 1) : kg * (1 - gone);
      const swing = standing < 1 || leftAt !== undefined ? SWING_SHARE * (1 - standing) : 0;
      const read = kg === 0 ? 0.05 * noise() : load * (1 + (swing + STANDING_SHARE) * noise());
      return Math.max(0, Math.round(read / STEP_KG) * STEP_KG);
    },
    isEmpty: () => kg === 0,
  };
}
