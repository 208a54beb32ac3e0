import { UNKNOWN, type Pedigree } from './arrays';

/**
 * Complete-generation equivalents: the sum over an animal's known ancestors of (1/2)^generations (Maignel, Boichard &
 * Verrier 1996, Interbull Bulletin 14: 49). Both parents known are 1, all four grandparents as well 2. Under about 3
 * a low inbreeding coefficient says little.
 * @returns one figure an animal, in the pedigree's order
 */
export function generationEquivalents({ sire, dam }: Pedigree): Float64Array {
  const found = new Float64Array(sire.length);
  for (let i = 0; i < sire.length; i++)
    for (const p of [sire[i] as number, dam[i] as number])
      if (p !== UNKNOWN) found[i] = (found[i] as number) + (1 + (found[p] as number)) / 2;
  return found;
}

/** A pedigree with fewer equivalents than this is shallow: its kinships are only a floor. Rule of thumb. */
export const SHALLOW_GENERATIONS = 2;
