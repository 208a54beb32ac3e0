import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { RegisterQuery, RegisterRow, RegisterView, TreatmentEntry } from '@yaylak/contract';
import { dayOf, isoOf, withdrawalEnd, wornIdentifiers } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { csv, type Cell } from '../exchange/csvText';

/** Rows a page shows; a file has them all. */
const LISTED = 500;

/** The register as a file, column by column. */
const COLUMNS: Readonly<Record<string, (row: RegisterRow) => Cell>> = {
  date: (r) => r.on,
  animal: (r) => r.tag.text,
  numbers: (r) => r.numbers.join(' '),
  species: (r) => r.species,
  product: (r) => r.product,
  batch: (r) => r.batch,
  amount: (r) => r.amount,
  unit: (r) => r.unit,
  route: (r) => r.route,
  'weight kg': (r) => r.doseKg,
  'weighed by': (r) => r.doseMethod,
  reason: (r) => r.reason,
  'prescribed by': (r) => r.prescribedBy,
  'given by': (r) => r.by,
  'off label': (r) => (r.isOffLabel ? 'yes' : 'no'),
  'meat withheld to': (r) => r.meatUntil,
  'milk withheld to': (r) => r.milkUntil,
};

/** The treatment register: every remedy given, struck ones left out, the newest first. */
@Injectable()
export class RegisterService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(query: RegisterQuery): Promise<RegisterView> {
    const rows = await this.rows(query);
    return { rows: rows.slice(0, LISTED), total: rows.length };
  }

  async csv(query: RegisterQuery): Promise<string> {
    const rows = await this.rows(query);
    return csv(
      Object.keys(COLUMNS),
      rows.map((row) => Object.values(COLUMNS).map((cell) => cell(row))),
    );
  }

  private async rows(query: RegisterQuery): Promise<RegisterRow[]> {
    const kept = await readEntries(this.orm.em.fork(), { type: 'treatment' });
    return kept
      .flatMap(({ entry, struckBy }) => (entry.type === 'treatment' && !struckBy ? [entry] : []))
      .filter((e) => this.fits(e, query))
      .map((e) => this.row(e))
      .sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : a.tag.text < b.tag.text ? -1 : 1));
  }

  private fits(e: TreatmentEntry, { from, to, productId, animalId, species }: RegisterQuery): boolean {
    return (
      (from === undefined || e.on >= from) &&
      (to === undefined || e.on <= to) &&
      (productId === undefined || e.productId === productId) &&
      (animalId === undefined || e.animalId === animalId) &&
      (species === undefined || this.book.state.animals.get(e.animalId)?.record.species === species)
    );
  }

  private row(e: TreatmentEntry): RegisterRow {
    const facts = this.book.state.animals.get(e.animalId);
    if (!facts) throw new Error(`treatment ${e.id} speaks of an animal that is not in the book`);
    const until = (days: number | undefined): string | null => (days ? isoOf(withdrawalEnd(dayOf(e.on), days)) : null);
    return {
      entryId: e.id,
      on: e.on,
      tag: tagView(facts, this.clock.today()),
      numbers: wornIdentifiers(facts).flatMap((i) => (i.kind === 'name' ? [] : [i.text])),
      species: facts.record.species,
      product: this.book.state.products.get(e.productId)?.facts.name ?? '',
      batch: e.batch ?? null,
      amount: e.amount,
      unit: e.unit,
      route: e.route,
      doseKg: e.doseKg ?? null,
      doseMethod: e.doseMethod ?? null,
      reason: e.reason ?? null,
      prescribedBy: e.prescribedBy ?? null,
      by: e.writtenBy,
      isOffLabel: e.isOffLabel ?? false,
      meatUntil: until(e.meatDays),
      milkUntil: until(e.milkDays),
    };
  }
}
