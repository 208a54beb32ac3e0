import type { KinView } from '@yaylak/contract';
import { togetherCurve, type TogetherPoint } from '@yaylak/core';

/** The curve of a set: how many are kept, at most so many of one sire. */
export interface CurveAsked {
  readonly kin: KinView;
  /** By place in the kin view. */
  readonly indices: readonly number[];
  readonly keep: number;
  readonly sireCap: number;
}

export type CurveFound =
  | { readonly kind: 'points'; readonly points: readonly TogetherPoint[] }
  | { readonly kind: 'not-possible'; readonly most: number };

/** Works the curve of merit against kinship. */
export interface CurveWorker {
  curve(asked: CurveAsked, onProgress: (share: number) => void): CurveFound;
}

/** Kinship as it was sent, row by row below the diagonal, as a full table. */
function fullTable({ animalIds, kinship }: KinView): Float64Array {
  const n = animalIds.length;
  const table = new Float64Array(n * n);
  let at = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++) {
      const value = kinship[at++] as number;
      table[i * n + j] = value;
      table[j * n + i] = value;
    }
  return table;
}

export const createCurveWorker = (): CurveWorker => ({
  curve({ kin, indices, keep, sireCap }, onProgress) {
    const found = togetherCurve(
      {
        candidates: kin.animalIds.map((id, i) => ({
          id,
          index: indices[i] as number,
          sireId: kin.sireIds[i] ?? undefined,
        })),
        kinship: fullTable(kin),
        withMates: kin.withMates ? Float64Array.from(kin.withMates) : undefined,
        keep,
        ...(sireCap > 0 ? { sireCap } : {}),
      },
      (done, of) => onProgress(done / of),
    );
    return 'kind' in found ? found : { kind: 'points', points: found };
  },
});
