import { Inject, Injectable } from '@nestjs/common';
import {
  bySpecies,
  fatGroupOf,
  gradedPairs,
  habitsAt,
  killedHead,
  killingOut,
  saleRecord,
  type AnimalFacts,
  type FatGroup,
  type GradedPairs,
  type Habits,
  type KilledHead,
  type SaleRecord,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole, type Collected } from '../book/derived';

/** One sale with what it taught: nothing until its result is there. */
interface Taught {
  readonly record: SaleRecord;
  readonly pairs: GradedPairs;
  readonly killed: KilledHead | undefined;
}

/** What the holding's own results teach: killing-out, and how each outlet's grader sees what is felt here. */
@Injectable()
export class LearnedService {
  private readonly taught: Readonly<Record<Species, Collected<Taught>>>;
  private readonly taughtOf: Readonly<Record<Species, Whole<readonly Taught[]>>>;
  private readonly share: Readonly<Record<Species, Whole<number>>>;
  /** Habits by outlet and breed group, worked out when the first animal asks. */
  private readonly habits: Readonly<Record<Species, Whole<Map<string, Habits>>>>;

  constructor(@Inject(BookService) private readonly book: BookService) {
    this.taught = bySpecies((species) =>
      book.collected((facts) => (facts.record.species === species ? this.readOne(facts) : undefined)),
    );
    const whole = <T>(compute: (species: Species) => T): Readonly<Record<Species, Whole<T>>> =>
      bySpecies(
        (species) =>
          new Whole(
            () => [this.taught[species].version()],
            () => compute(species),
          ),
      );
    this.taughtOf = whole((species) => this.read(species));
    // Asked for with every head of a pen.
    this.share = whole((species) => this.readShare(species));
    this.habits = whole(() => new Map<string, Habits>());
  }

  /** Every sale of a species in the order they left. */
  records(species: Species): readonly SaleRecord[] {
    return this.taughtOf[species].get().map((t) => t.record);
  }

  killed(species: Species, before?: number): readonly KilledHead[] {
    return this.until(species, before).flatMap((t) => t.killed ?? []);
  }

  /** Pairs of own estimate and grader. @param before only those whose result was there before this day */
  pairs(species: Species, before?: number): GradedPairs {
    const taught = this.until(species, before);
    return { shape: taught.flatMap((t) => t.pairs.shape), fat: taught.flatMap((t) => t.pairs.fat) };
  }

  /** Carcass over live weight of a species, as it is reckoned with. */
  killingOut(species: Species): number {
    return this.share[species].get();
  }

  /** How an outlet's grader sees one animal. */
  habitsOf({ record }: AnimalFacts): (outlet: { readonly id: string }) => Habits {
    const { species } = record;
    const group = fatGroupOf(record, this.book.state.settings(species));
    return ({ id }) => this.habitsAt(species, id, group);
  }

  habitsAt(species: Species, outletId: string, group: FatGroup): Habits {
    const kept = this.habits[species].get();
    const key = `${outletId} ${group}`;
    const known = kept.get(key) ?? habitsAt(this.pairs(species), outletId, group);
    kept.set(key, known);
    return known;
  }

  private until(species: Species, before: number | undefined): readonly Taught[] {
    const all = this.taughtOf[species].get();
    return before === undefined
      ? all
      : all.filter(({ record }) => record.carcass !== undefined && record.carcass.on < before);
  }

  private readShare(species: Species): number {
    return killingOut(this.killed(species), this.book.state.settings(species).selling.killingKind).share;
  }

  private read(species: Species): Taught[] {
    return [...this.taught[species].all()].sort((a, b) => a.record.left.on - b.record.left.on);
  }

  private readOne(facts: AnimalFacts): Taught | undefined {
    const { state } = this.book;
    const settings = state.settings(facts.record.species);
    const record = saleRecord(facts);
    return (
      record && {
        record,
        pairs: gradedPairs([record], settings, (f) => fatGroupOf(f.record, settings)),
        killed: killedHead(record, state.daily(facts), settings),
      }
    );
  }
}
