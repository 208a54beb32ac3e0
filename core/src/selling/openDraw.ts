export interface LikelyReady {
  readonly id: string;
  /** Chance to be ready, from the last weights. */
  readonly chance: number;
}

export interface OpenDraw {
  readonly ids: readonly string[];
  /** Expected ready among them, and the SD of that. */
  readonly expected: number;
  readonly sd: number;
  /** All of them together do not surely hold the number wanted. */
  readonly isShort: boolean;
}

/**
 * Whom to bring in so that the wanted number is ready among them: the likeliest first (ties as they stand in the list)
 * until the expected number less its SD reaches it.
 */
export function drawInTheOpen(pen: readonly LikelyReady[], wanted: number): OpenDraw {
  const falling = [...pen].sort((a, b) => b.chance - a.chance);
  let [expected, variance] = [0, 0];
  for (const [i, { chance }] of falling.entries()) {
    if (expected - Math.sqrt(variance) >= wanted)
      return { ids: idsOf(falling.slice(0, i)), expected, sd: Math.sqrt(variance), isShort: false };
    expected += chance;
    variance += chance * (1 - chance);
  }
  const isShort = expected - Math.sqrt(variance) < wanted;
  return { ids: idsOf(falling), expected, sd: Math.sqrt(variance), isShort };
}
const idsOf = (list: readonly LikelyReady[]): string[] => list.map((a) => a.id);
