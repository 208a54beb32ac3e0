import type { ChoosingView, KinView } from '@yaylak/contract';
import { useEffect, useState } from 'react';
import type { CurveFound } from './together';
import { stopCurve, workCurve } from './togetherClient';

export interface Curve {
  readonly found: CurveFound | undefined;
  /** 0 to 1 while it is being worked. */
  readonly progress: number | undefined;
}

interface Asked {
  readonly keep: number;
  readonly sireCap: number;
  /** By animal, in the order of the kinships. */
  readonly indices: readonly number[];
}

/** The curve of a set as it is, worked anew when the list, the number or the cap is another. */
export function useCurve(view: ChoosingView, kin: KinView | undefined, sireCap: number): Curve {
  const [curve, setCurve] = useState<{ readonly of: string; readonly found: CurveFound }>();
  const [reached, setReached] = useState<{ readonly of: string; readonly share: number }>();
  const isOfNow = kin?.animalIds.length === view.rows.length;
  const indexOf = new Map(view.rows.map((r) => [r.tag.animalId, r.index]));
  // All that the curve hangs on beside the kinships: the effect reads it from here, so that it runs anew with it alone.
  const asked: Asked = {
    keep: view.lines.keep,
    sireCap,
    indices: kin?.animalIds.map((id) => Number((indexOf.get(id) ?? 0).toFixed(6))) ?? [],
  };
  const of = JSON.stringify(asked);
  useEffect(() => {
    if (!kin || !isOfNow) return undefined;
    void workCurve({ kin, ...(JSON.parse(of) as Asked) }, (share) => setReached({ of, share })).then((found) => {
      if (found !== 'stopped') setCurve({ of, found });
    });
    return stopCurve;
  }, [of, isOfNow, kin]);
  const found = curve?.of === of ? curve.found : undefined;
  const isWorked = kin !== undefined && isOfNow && !found;
  return { found, progress: isWorked ? (reached?.of === of ? reached.share : 0) : undefined };
}
