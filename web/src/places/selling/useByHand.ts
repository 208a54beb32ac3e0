import type { SellingView } from '@yaylak/contract';
import { useState } from 'react';
import type { ByHand } from './split';

const keyOf = ({ species, groupId, on }: SellingView): string => `yaylak-split ${species} ${groupId ?? ''} ${on}`;

/** Of this day and pen alone: tomorrow's split is another. */
function kept(view: SellingView): ByHand {
  try {
    const found: unknown = JSON.parse(sessionStorage.getItem(keyOf(view)) ?? '{}');
    if (typeof found !== 'object' || found === null) return {};
    const columns = ['stays', ...view.outlets.map((o) => o.id)];
    return Object.fromEntries(Object.entries(found).filter(([, column]) => columns.includes(column as string)));
  } catch {
    return {};
  }
}

/** Where heads of a pen were sent by hand; it stands there again after the page was left or loaded anew. */
export function useByHand(view: SellingView): readonly [ByHand, (next: ByHand) => void] {
  const [byHand, setByHand] = useState(() => kept(view));
  return [
    byHand,
    (next) => {
      setByHand(next);
      sessionStorage.setItem(keyOf(view), JSON.stringify(next));
    },
  ];
}
