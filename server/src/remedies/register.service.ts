import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { RegisterQuery, RegisterRow, RegisterView, TreatmentEntry } from '@yaylak/contract';
import {
  dayOf,
  isoOf,
  mainIdentifier,
  withdrawalEnd,
  wornIdentifiers,
  type AnimalFacts,
  type Day,
  type TreatmentFact,
} from '@yaylak/core';
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

/** A treatment, before its entry is read. */
interface Given {
  readonly entryId: string;
  readonly on: Day;
  readonly facts: AnimalFacts;
}

const isAsked = ({ on, productId }: TreatmentFact, query: RegisterQuery): boolean =>
  (query.from === undefined || on >= dayOf(query.from)) &&
  (query.to === undefined || on <= dayOf(query.to)) &&
  (query.productId === undefined || productId === query.productId);

/** The treatment register: every remedy given, struck ones left out, the newest first. */
@Injectable()
export class RegisterService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(query: RegisterQuery): Promise<RegisterView> {
    const given = this.given(query);
    return { rows: await this.rows(given.slice(0, LISTED)), total: given.length };
  }

  async csv(query: RegisterQuery): Promise<string> {
    const rows = await this.rows(this.given(query));
    return csv(
      Object.keys(COLUMNS),
      rows.map((row) => Object.values(COLUMNS).map((cell) => cell(row))),
    );
  }

  /** What was given, the newest first, from memory: only what is shown is read from the file. */
  private given(query: RegisterQuery): Given[] {
    const { animalId, species } = query;
    const { state } = this.book;
    const one = animalId === undefined ? undefined : state.animals.get(animalId);
    const among =
      animalId !== undefined ? (one ? [one] : []) : species ? state.ofSpecies(species) : state.animals.values();
    const given: Given[] = [];
    for (const facts of among) {
      if (species !== undefined && facts.record.species !== species) continue;
      for (const t of facts.treatments) if (isAsked(t, query)) given.push({ entryId: t.entryId, on: t.on, facts });
    }
    const numbers = new Map<AnimalFacts, string>();
    const numberOf = (facts: AnimalFacts): string => {
      const known = numbers.get(facts) ?? mainIdentifier(facts)?.identifier.text ?? '';
      numbers.set(facts, known);
      return known;
    };
    return given.sort((a, b) => b.on - a.on || (numberOf(a.facts) < numberOf(b.facts) ? -1 : 1));
  }

  /** Their entries with all that was written, in the same order. */
  private async rows(given: readonly Given[]): Promise<RegisterRow[]> {
    const ids = given.map((g) => g.entryId);
    const kept = await readEntries(this.orm.em.fork(), { ids });
    const byId = new Map(kept.map(({ entry }) => [entry.id, entry]));
    return ids.flatMap((id) => {
      const entry = byId.get(id);
      return entry?.type === 'treatment' ? [this.row(entry)] : [];
    });
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
