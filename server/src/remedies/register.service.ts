import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { RegisterQuery, RegisterRow, RegisterView, TreatmentEntry } from '@yaylak/contract';
import {
  bySpecies,
  dayOf,
  isoOf,
  mainIdentifier,
  withdrawalEnd,
  wornIdentifiers,
  type AnimalFacts,
  type Species,
  type TreatmentFact,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
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
  readonly fact: TreatmentFact;
  readonly facts: AnimalFacts;
}

/** The treatment register: every remedy given, struck ones left out, the newest first. */
@Injectable()
export class RegisterService {
  private readonly all: Whole<readonly Given[]>;
  private readonly ofSpecies: Readonly<Record<Species, Whole<readonly Given[]>>>;

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    const kinds = ['arrival', 'treatment', 'identifier', 'identifier-end'] as const;
    this.all = book.ofKinds(kinds, () => this.readAll());
    this.ofSpecies = bySpecies((species) =>
      book.ofKinds(kinds, () => this.all.get().filter(({ facts }) => facts.record.species === species)),
    );
  }

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
  private given({ animalId, species, productId, ...days }: RegisterQuery): readonly Given[] {
    const given = species === undefined ? this.all.get() : this.ofSpecies[species].get();
    // Mostly nothing more is asked: of ten thousands none has to be looked at.
    if ([animalId, productId, days.from, days.to].every((asked) => asked === undefined)) return given;
    const from = days.from === undefined ? -Infinity : dayOf(days.from);
    const to = days.to === undefined ? Infinity : dayOf(days.to);
    return given.filter(
      ({ facts, fact }) =>
        (animalId === undefined || facts.record.id === animalId) &&
        (productId === undefined || fact.productId === productId) &&
        fact.on >= from &&
        fact.on <= to,
    );
  }

  private readAll(): Given[] {
    const all: (Given & { readonly number: string })[] = [];
    for (const facts of this.book.state.animals.values()) {
      const number = mainIdentifier(facts)?.identifier.text ?? '';
      for (const fact of facts.treatments) all.push({ fact, facts, number });
    }
    return all.sort((a, b) => b.fact.on - a.fact.on || (a.number < b.number ? -1 : 1));
  }

  /** Their entries with all that was written, in the same order. */
  private async rows(given: readonly Given[]): Promise<RegisterRow[]> {
    const ids = given.map(({ fact }) => fact.entryId);
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
