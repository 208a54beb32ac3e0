import { Inject, Injectable } from '@nestjs/common';
import type { DoseDueView, RemediesView, WithheldView } from '@yaylak/contract';
import {
  addDays,
  dosesDue,
  groupOn,
  isoOf,
  planTurn,
  sharedWindow,
  windowStage,
  withheldOn,
  type AnimalFacts,
  type Day,
  type Window,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { ProductRecord } from '../book/holdingState';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { ProductsService } from './products.service';

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
    return this.book.state.products.get(id)?.facts.name ?? 'a product';
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
    const present = this.book.state.present(today);
    return [...this.coursesDue(present, today), ...this.plansDue(present, today)].sort((a, b) =>
      a.window.closes < b.window.closes ? -1 : a.window.closes > b.window.closes ? 1 : a.key < b.key ? -1 : 1,
    );
  }

  private coursesDue(present: readonly AnimalFacts[], today: Day): DoseDueView[] {
    const batches = new Map<string, { productId: string; nth: number; facts: AnimalFacts[]; windows: Window[] }>();
    for (const facts of present)
      for (const { productId, nth, window } of dosesDue(
        facts.treatments,
        (id) => this.book.state.products.get(id)?.facts.course,
        today,
      )) {
        if (window.opens > today + AHEAD_DAYS) continue;
        const key = `${productId} ${nth} ${groupOn(facts, today) ?? '-'} ${window.bestFrom}`;
        const batch = batches.get(key) ?? { productId, nth, facts: [], windows: [] };
        batches.set(key, batch);
        batch.facts.push(facts);
        batch.windows.push(window);
      }
    return [...batches].map(([key, { productId, nth, facts, windows }]) => {
      const product = this.book.state.products.get(productId) as ProductRecord;
      return this.dueView(key, product, nth, facts, 0, sharedWindow(windows) as Window, today);
    });
  }

  /** A yearly plan asks for those of its groups that had none since its turn counts. */
  private plansDue(present: readonly AnimalFacts[], today: Day): DoseDueView[] {
    return [...this.book.state.products.values()].flatMap((product) => {
      const { planMonths = [], planGroupIds = [], doses } = product.facts;
      if (product.isClosed || planMonths.length === 0) return [];
      const { window, countsFrom } = planTurn(planMonths, today);
      if (window.opens > today + AHEAD_DAYS) return [];
      return planGroupIds.flatMap((groupId) => {
        const own = present.filter(
          (f) => groupOn(f, today) === groupId && doses.some((d) => d.species === f.record.species),
        );
        const missing = own.filter(
          (f) => !f.treatments.some((t) => t.productId === product.id && t.on >= countsFrom && t.on <= today),
        );
        if (missing.length === 0) return [];
        const done = own.length - missing.length;
        return [this.dueView(`${product.id} plan ${groupId}`, product, null, missing, done, window, today)];
      });
    });
  }

  private dueView(
    key: string,
    product: ProductRecord,
    nth: number | null,
    facts: readonly AnimalFacts[],
    done: number,
    window: Window,
    today: Day,
  ): DoseDueView {
    const first = facts[0];
    return {
      key,
      productId: product.id,
      product: product.facts.name,
      nth,
      groupName: first ? this.groupName(first, today) : null,
      animalIds: facts.map((f) => f.record.id),
      tags: facts.slice(0, TAGS_SHOWN).map((f) => tagView(f, today)),
      done,
      window: windowView(window),
      isOpen: windowStage(window, today) !== 'early',
    };
  }

  private groupName(facts: AnimalFacts, today: Day): string | null {
    const id = groupOn(facts, today);
    return (id && this.book.state.groups.get(id)?.name) ?? null;
  }
}
