import { Inject, Injectable } from '@nestjs/common';
import type { MarginRowView, MarginsBy, MarginsQuery, MarginsView, YearMarginView } from '@yaylak/contract';
import {
  feedCost,
  groupOn,
  isoOf,
  meanMargin,
  remediesCost,
  saleMargin,
  yearOf,
  type AnimalFacts,
  type DamFed,
  type HeadCosts,
  type SaleMargin,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { breathe } from '../common/breathe';
import { LearnedService } from './learned.service';
import { PaidService, type PaidSale } from './paid.service';

/** Sales worked out before others are let on. */
const AT_ONCE = 200;

interface Sold {
  readonly sale: PaidSale;
  readonly year: number;
  readonly margin: SaleMargin;
  readonly costs: HeadCosts;
}

/** What sales left in the hand, against other years. */
@Injectable()
export class MarginsService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(LearnedService) private readonly learned: LearnedService,
    @Inject(PaidService) private readonly paid: PaidService,
  ) {}

  async view({ species, by }: MarginsQuery): Promise<MarginsView> {
    const records = this.learned.records(species);
    const sales = await this.paid.sales(species);
    const onTrip = new Map<string, number>();
    for (const { outletId, left } of records) {
      const trip = tripOf(outletId, left.on);
      onTrip.set(trip, (onTrip.get(trip) ?? 0) + 1);
    }
    const sold: Sold[] = [];
    for (const [i, sale] of sales.entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
      const { facts, left, outletId } = sale.record;
      const costs = this.costs(facts);
      const heads = onTrip.get(tripOf(outletId, left.on)) ?? 1;
      const trip = { notedMinor: left.haulageMinor, outlet: sale.outlet, heads };
      const margin = saleMargin(sale, trip, costs);
      sold.push({ sale, year: yearOf(left.on), margin, costs });
    }
    const isPaid = new Set(sales.map((s) => s.record));
    const unpaid = new Map<number, number>();
    for (const record of records) {
      const year = yearOf(record.left.on);
      if (!isPaid.has(record)) unpaid.set(year, (unpaid.get(year) ?? 0) + 1);
    }
    return {
      species,
      by,
      years: [...new Set(records.map((r) => yearOf(r.left.on)))].sort((a, b) => b - a),
      rows: this.rows(sold, by),
      all: yearsOf(sold),
      unpaid: [...unpaid].map(([year, heads]) => ({ year, heads })),
    };
  }

  private costs(facts: AnimalFacts): HeadCosts {
    const { state } = this.book;
    const { damId, boughtMinor } = facts.record;
    const ids = new Set([damId, ...facts.fosterings.map((f) => f.damId)]);
    const dams = [...ids].flatMap((id): DamFed[] => {
      const dam = id === undefined ? undefined : state.animals.get(id);
      if (!dam || dam.feeds.length === 0) return [];
      return [{ damId: dam.record.id, feeds: dam.feeds, about: state.litters.youngAbout(dam.record.id) }];
    });
    return {
      feedMinor: feedCost(facts, dams),
      remediesMinor: remediesCost(facts, (id) => state.products.get(id)?.facts),
      purchaseMinor: boughtMinor,
    };
  }

  private rows(sold: readonly Sold[], by: MarginsBy): MarginRowView[] {
    const rows = new Map<string, { readonly name: string; readonly sold: Sold[] }>();
    for (const one of sold) {
      const { key, name } = this.keyOf(one.sale, by);
      const row = rows.get(key);
      if (row) row.sold.push(one);
      else rows.set(key, { name, sold: [one] });
    }
    return [...rows]
      .map(([key, row]) => ({ key, name: row.name, years: yearsOf(row.sold) }))
      .sort((a, b) => (by === 'month' ? a.key.localeCompare(b.key) : a.name.localeCompare(b.name)));
  }

  private keyOf(
    { record, outlet, outletName = '' }: PaidSale,
    by: MarginsBy,
  ): { readonly key: string; readonly name: string } {
    const { facts, left } = record;
    switch (by) {
      case 'outlet':
        return { key: outlet?.id ?? '', name: outletName };
      case 'month': {
        const month = isoOf(left.on).slice(5, 7);
        return { key: month, name: month };
      }
      case 'breed':
        return { key: facts.record.strain ?? '', name: facts.record.strain ?? '' };
      case 'group': {
        // The day it left it still stood where it was drawn from.
        const id = groupOn(facts, left.on) ?? '';
        return { key: id, name: this.book.state.groups.get(id)?.name ?? '' };
      }
    }
  }
}

const tripOf = (outletId: string | undefined, on: number): string => `${outletId ?? ''} ${on}`;

/** Means of each year, the newest first. */
function yearsOf(sold: readonly Sold[]): YearMarginView[] {
  const years = [...new Set(sold.map((s) => s.year))].sort((a, b) => b - a);
  return years.flatMap((year) => {
    const mean = meanMargin(sold.filter((s) => s.year === year));
    return mean ? [{ year, ...mean }] : [];
  });
}
