import { Inject, Injectable } from '@nestjs/common';
import type { OutletView, SaleAheadView, SaleRow, SpeciesAhead } from '@yaylak/contract';
import { fitsToday, addDays, isoOf, isPresent, nextWeekday, reservedOn, SPECIES, type Species } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { LoadsService } from './loads.service';
import { OutletsService } from './outlets.service';
import { SellingService } from './selling.service';

/** Reservations that end within so many days are told. */
const ENDS_WITHIN_DAYS = 7;

/** What selling asks for in the days ahead, of all species and pens. */
@Injectable()
export class SaleAheadService {
  private kept: { readonly key: string; readonly species: Promise<SpeciesAhead[]> } | undefined;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(SellingService) private readonly selling: SellingService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(LoadsService) private readonly loads: LoadsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(): Promise<SaleAheadView> {
    const outlets = await this.outlets.list();
    const key = [this.book.state.version, this.clock.today(), ...outlets.map((o) => `${o.id} ${o.version}`)].join();
    if (this.kept?.key !== key) {
      const species = this.read(outlets.filter((o) => !o.isClosed));
      this.kept = { key, species };
      // What could not be worked out is worked out when it is asked for again.
      species.catch(() => {
        if (this.kept?.key === key) this.kept = undefined;
      });
    }
    return {
      on: isoOf(this.clock.today()),
      species: await this.kept.species,
      loads: await this.loads.ahead(),
      reserved: this.reserved(),
    };
  }

  private async read(outlets: readonly OutletView[]): Promise<SpeciesAhead[]> {
    const all: SpeciesAhead[] = [];
    for (const species of SPECIES) {
      const own = outlets.filter((o) => o.facts.species === species);
      if (own.length === 0) continue;
      const rows = await this.selling.allRows(species);
      if (rows.length > 0) all.push(this.ahead(species, rows, own));
    }
    return all;
  }

  private ahead(species: Species, rows: readonly SaleRow[], outlets: readonly OutletView[]): SpeciesAhead {
    const today = this.clock.today();
    const closing = rows.filter((r) => r.state === 'closing');
    const ready = rows.filter((r) => r.state === 'ready' || r.state === 'closing');
    const soonest = Math.min(...closing.map((r) => r.inDays ?? Infinity));
    return {
      species,
      ready: ready.length - closing.length,
      closing: closing.length,
      closesOn: Number.isFinite(soonest) ? isoOf(addDays(today, soonest)) : null,
      outlets: outlets
        .filter((o) => o.facts.weekdays.length > 0)
        .map(({ id, facts }) => ({
          id,
          name: facts.name,
          goesOn: isoOf(nextWeekday(today, facts.weekdays)),
          fits: ready.filter((r) =>
            r.cells.some(
              (c) =>
                c.outletId === id &&
                fitsToday({ isReady: c.readiness.kind === 'ready', minor: c.nowMinor ?? undefined }),
            ),
          ).length,
        }))
        .filter((o) => o.fits > 0)
        .sort((a, b) => (a.goesOn < b.goesOn ? -1 : 1)),
    };
  }

  /** Reservations that end soon, the next first. */
  private reserved(): SaleAheadView['reserved'] {
    const today = this.clock.today();
    return [...this.book.state.animals.values()]
      .flatMap((facts) => {
        const kept = isPresent(facts, today) ? reservedOn(facts, today) : undefined;
        if (kept?.until === undefined || kept.until > addDays(today, ENDS_WITHIN_DAYS)) return [];
        const { species } = facts.record;
        return [{ tag: tagView(facts, today), species, buyer: kept.buyer, until: isoOf(kept.until) }];
      })
      .sort((a, b) => (a.until < b.until ? -1 : 1));
  }
}
