import { Inject, Injectable } from '@nestjs/common';
import type { DoseDueView, RemediesView, WithheldView } from '@yaylak/contract';
import {
  addDays,
  dueOfRemedies,
  groupOn,
  isoOf,
  withheldOn,
  type AnimalFacts,
  type Day,
  type DueRow,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { ProductsService } from './products.service';
import { say } from '@yaylak/contract';

/** Doses shown ahead of their day. */
const AHEAD_DAYS = 21;
const TAGS_SHOWN = 60;

/** What is withheld, what is to be given again, and what is on the shelf. */
@Injectable()
export class RemediesService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(ProductsService) private readonly products: ProductsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(): RemediesView {
    const today = this.clock.today();
    const present = this.book.state.present(today);
    return {
      products: this.products.list(),
      withheld: this.withheld(),
      due: this.due(),
      present: present.length,
    };
  }

  productName(id: string): string {
    return this.book.state.products.get(id)?.facts.name ?? say('a product');
  }

  /** Meat and milk that may not be used yet, the first to be clear first. */
  withheld(): WithheldView[] {
    const today = this.clock.today();
    return this.book.state
      .present(today)
      .flatMap((facts) =>
        withheldOn(facts, today).map(({ of, from, until, productId }) => ({
          tag: tagView(facts, today),
          species: facts.record.species,
          groupName: this.groupName(facts, today),
          of,
          from: isoOf(from),
          until: isoOf(until),
          clearFrom: isoOf(addDays(until, 1)),
          product: this.productName(productId),
        })),
      )
      .sort((a, b) => (a.until < b.until ? -1 : a.until > b.until ? 1 : a.tag.text < b.tag.text ? -1 : 1));
  }

  /** Doses of courses begun and of yearly plans, those that close first first. */
  due(): DoseDueView[] {
    const today = this.clock.today();
    return this.dueRows(AHEAD_DAYS).flatMap(({ key, task, animals, window, isOpen }): DoseDueView[] =>
      task.kind === 'give'
        ? [
            {
              key,
              productId: task.productId,
              product: this.productName(task.productId),
              nth: task.nth ?? null,
              groupName: animals[0] ? this.groupName(animals[0], today) : null,
              animalIds: animals.map((f) => f.record.id),
              tags: animals.slice(0, TAGS_SHOWN).map((f) => tagView(f, today)),
              done: task.done,
              window: windowView(window),
              isOpen,
            },
          ]
        : [],
    );
  }

  dueRows(aheadDays?: number): DueRow[] {
    const today = this.clock.today();
    const products = [...this.book.state.products.values()].map(({ id, isClosed, facts }) => {
      const { course, doses, planMonths = [], planGroupIds = [] } = facts;
      return [id, { id, isClosed, course, doses, planMonths, planGroupIds }] as const;
    });
    return dueOfRemedies(this.book.state.present(today), new Map(products), today, aheadDays);
  }

  private groupName(facts: AnimalFacts, today: Day): string | null {
    const id = groupOn(facts, today);
    return (id && this.book.state.groups.get(id)?.name) ?? null;
  }
}
