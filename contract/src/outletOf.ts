import { dayOf, type Outlet, type PriceList } from '@yaylak/core';
import type { OutletView } from './selling';

/** An outlet as core reckons with it. */
export function outletOf({ id, facts }: Pick<OutletView, 'id' | 'facts'>): Outlet {
  const { wants, prices, ...rest } = facts;
  const range = (from: number | undefined, to: number | undefined) =>
    from === undefined && to === undefined ? undefined : { from, to };
  return {
    ...rest,
    id,
    prices: prices.map((p): PriceList => ({ ...p, from: dayOf(p.from) })),
    box: {
      kg: range(wants.fromKg, wants.toKg),
      shape: range(wants.fromShape, wants.toShape),
      fat: range(wants.fromFat, wants.toFat),
      ageDays: range(wants.fromDays, wants.toDays),
    },
  };
}
