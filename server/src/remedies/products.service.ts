import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { ChangeProduct, CreateProduct, FieldFault, ProductFacts, ProductView } from '@yaylak/contract';
import { batchStock, dayOf, isoOf, isUnderStep, normalised, type BatchStock } from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import type { ProductRecord } from '../book/holdingState';
import { Clock } from '../common/clock';
import { plain } from '../common/plain';
import { badFields, conflict, notFound, staleVersion } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { ProductEntity } from '../records/product.entity';
import { say } from '@yaylak/contract';

/** The holding's list of products, with what is left of each. */
@Injectable()
export class ProductsService {
  /** Amounts given, by product and batch. */
  private readonly given: Whole<Map<string, Map<string, number>>>;

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.given = book.ofKinds(['arrival', 'treatment'], () => this.givenByBatch());
  }

  list(): ProductView[] {
    return [...this.book.state.products.values()]
      .map((p) => this.view(p))
      .sort((a, b) => Number(a.isClosed) - Number(b.isClosed) || a.facts.name.localeCompare(b.facts.name));
  }

  stockOf({ id, facts }: ProductRecord): BatchStock[] {
    const batches = facts.batches.map((b) => ({
      ...b,
      expiresOn: b.expiresOn === undefined ? undefined : dayOf(b.expiresOn),
    }));
    return batchStock(batches, this.given.get().get(id) ?? new Map(), this.clock.today());
  }

  create(product: CreateProduct): Promise<ProductView> {
    const { id, ...facts } = plain(product);
    return this.book.exclusively(async () => {
      const known = this.book.state.products.get(id);
      if (known) return this.view(known);
      this.refuseFaults(facts, id);
      const record: ProductRecord = { id, facts, isClosed: false, version: 1 };
      await this.book.transact(async (em) => {
        await em.insert(ProductEntity, { ...record });
        await this.changes.keep(em, ['product', id], undefined, facts);
      });
      return this.keep(record);
    });
  }

  change(id: string, change: ChangeProduct): Promise<ProductView> {
    const { version, isClosed, ...facts } = plain(change);
    return this.book.exclusively(async () => {
      const before = this.book.state.products.get(id);
      if (!before) throw notFound('product');
      if (before.version !== version) throw staleVersion('product', this.view(before));
      this.refuseFaults(facts, id);
      const record: ProductRecord = { id, facts, isClosed: isClosed ?? before.isClosed, version: version + 1 };
      await this.book.transact(async (em) => {
        await em.nativeUpdate(ProductEntity, { id }, { facts, isClosed: record.isClosed, version: record.version });
        await this.changes.keep(em, ['product', id], told(before), told(record));
      });
      return this.keep(record);
    });
  }

  /** Removes a product that no treatment speaks of, so that adding one can be taken back. */
  remove(id: string): Promise<void> {
    return this.book.exclusively(async () => {
      const product = this.book.state.products.get(id);
      if (!product) throw notFound('product');
      const used = await this.orm.em
        .getConnection()
        .execute<{ n: number }[]>('select count(*) as n from treatment_entry where product_id = ?', [id]);
      if ((used[0]?.n ?? 0) > 0)
        throw conflict(
          say('“{name}” has been given.', { name: product.facts.name }),
          say('The register speaks of it. Say that it is no longer used instead.'),
        );
      await this.book.transact(async (em) => {
        await em.nativeDelete(ProductEntity, { id });
        await this.changes.keep(em, ['product', id], told(product), undefined);
      });
      this.book.state.removeProduct(id);
    });
  }

  private keep(record: ProductRecord): ProductView {
    this.book.state.setProduct(record);
    return this.view(record);
  }

  private view(product: ProductRecord): ProductView {
    const batches = this.stockOf(product).map((b) => ({
      ...b,
      expiresOn: b.expiresOn === undefined ? null : isoOf(b.expiresOn),
    }));
    const usable = batches.filter((b) => b.state === 'good' || b.state === 'expires-soon');
    const left = usable.reduce((s, b) => s + b.left, 0);
    const { lowAt } = product.facts;
    return { ...product, batches, left, isLow: lowAt !== undefined && left <= lowAt };
  }

  private givenByBatch(): Map<string, Map<string, number>> {
    const byProduct = new Map<string, Map<string, number>>();
    for (const facts of this.book.state.animals.values())
      for (const { productId, batch = '', amount } of facts.treatments) {
        const batches = byProduct.get(productId) ?? new Map<string, number>();
        byProduct.set(productId, batches.set(batch, (batches.get(batch) ?? 0) + amount));
      }
    return byProduct;
  }

  private refuseFaults(facts: ProductFacts, id: string): void {
    const faults = productFaults(facts);
    for (const other of this.book.state.products.values())
      if (other.id !== id && normalised(other.facts.name) === normalised(facts.name))
        faults.push({
          field: 'name',
          message: say('There is a product “{name}” already.', { name: other.facts.name }),
        });
    if (faults.length > 0) throw badFields(faults);
  }
}

/** What of a label does not hang together, field by field. */
export function productFaults(facts: ProductFacts): FieldFault[] {
  const faults: FieldFault[] = [];
  const once = (list: readonly string[], field: string, what: string): void => {
    const twice = list.find((one, i) => list.indexOf(one) !== i);
    if (twice !== undefined)
      faults.push({ field, message: say('{what} “{twice}” stands there twice.', { what, twice }) });
  };
  once(
    facts.doses.map((d) => d.species),
    'doses',
    say('The dose for'),
  );
  once(
    facts.batches.map((b) => b.batch),
    'batches',
    say('Batch'),
  );
  once(
    facts.withdrawals.map((w) => `${w.species}, ${w.route}`),
    'withdrawals',
    say('The withdrawal for'),
  );
  if (isUnderStep(facts))
    faults.push({
      field: 'maxPerSite',
      message: say(
        'The most at one place ({maxPerSite}) is less than the syringe’s step ({step}). Look at the label again.',
        { maxPerSite: facts.maxPerSite ?? '', step: facts.step },
      ),
    });
  const needs = { kg: 'perKg', band: 'bands', head: 'amount' } as const;
  for (const dose of facts.doses)
    if (dose[needs[dose.by]] === undefined)
      faults.push({
        field: 'doses',
        message: say('The dose for {species} has no figure. Type what the label says.', { species: dose.species }),
      });
  for (const w of facts.withdrawals)
    if (!facts.routes.includes(w.route))
      faults.push({
        field: 'withdrawals',
        message: say('The label does not give the product by “{route}”.', { route: say(w.route) }),
      });
  return faults;
}

/** What of it can be changed. */
const told = ({ facts, isClosed }: ProductRecord): object => ({ ...facts, isClosed });
