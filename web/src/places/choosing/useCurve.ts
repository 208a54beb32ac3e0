import type { ChoosingView, KinView } from '@yaylak/contract';
import { useEffect, useState } from 'react';
import type { CurveFound } from './together';
import { stopCurve, workCurve } from './togetherClient';

export interface Curve {
  readonly found: CurveFound | undefined;
  /** 0 to 1 while it is being worked. */
  readonly progress: number | undefined;
}

/** The curve of a set as it is, worked anew when the list, the number or the cap is another. */
export function useCurve(view: ChoosingView, kin: KinView | undefined, sireCap: number): Curve {
  const [curve, setCurve] = useState<{ readonly of: string; readonly found: CurveFound }>();
  const [progress, setProgress] = useState<number>();
  const { keep } = view.lines;
  const isOfNow = kin?.animalIds.length === view.rows.length;
  const indexOf = new Map(view.rows.map((r) => [r.tag.animalId, r.index]));
  const indices = kin?.animalIds.map((id) => indexOf.get(id) ?? 0) ?? [];
  const of = JSON.stringify([keep, sireCap, indices.map((i) => i.toFixed(6))]);
  useEffect(() => {
    if (!kin || !isOfNow) return undefined;
    setProgress(0);
    void workCurve({ kin, indices, keep, sireCap }, setProgress).then((found) => {
      if (found === 'stopped') return;
      setCurve({ of, found });
      setProgress(undefined);
    });
    return stopCurve;
    // `of` names all that the curve hangs on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [of, isOfNow, kin]);
  return { found: curve?.of === of ? curve.found : undefined, progress };
}
