import type { EntityManager } from '@mikro-orm/libsql';
import type { AnimalFacts } from '@yaylak/core';
import { OutletEntity } from '../records/outlet.entity';
import { ProductEntity } from '../records/product.entity';
import { say } from '@yaylak/contract';

/** What in a book holds money. */
export interface MoneyInBook {
  readonly outlets: number;
  readonly products: number;
  readonly animals: number;
}

/** Whether an amount stands anywhere in a piece of plain data: every one is a number of hundredths, `…Minor`. */
export function holdsMoney(piece: unknown): boolean {
  if (typeof piece !== 'object' || piece === null) return false;
  return Object.entries(piece).some(([key, value]) =>
    typeof value === 'number' ? /Minor(Per[A-Z][a-z]*)?$/i.test(key) && value !== 0 : holdsMoney(value),
  );
}

/** How many outlets, products and animals have money to them; struck entries are none. */
export async function moneyIn(em: EntityManager, animals: Iterable<AnimalFacts>): Promise<MoneyInBook> {
  const [outlets, products] = [await em.findAll(OutletEntity), await em.findAll(ProductEntity)];
  return {
    outlets: outlets.filter((o) => holdsMoney(o.facts)).length,
    products: products.filter((p) => holdsMoney(p.facts)).length,
    animals: [...animals].filter(holdsMoney).length,
  };
}

/** What stands in the way of another currency. @returns undefined where the book holds no money */
export function currencyFault(
  { outlets, products, animals }: MoneyInBook,
  from: string,
  to: string,
): string | undefined {
  const held = [
    [outlets, 'outlet', 'outlets'],
    [products, 'product', 'products'],
    [animals, 'animal', 'animals'],
  ] as const;
  const said = held.flatMap(([n, one, more]) => (n === 0 ? [] : [`${n} ${n === 1 ? one : more}`]));
  if (said.length === 0) return undefined;
  return (
    `${say('Currency: {list} have money in {from}, and no figure is converted.', { list: said.join(', '), from })} ` +
    say('Keep {from}; or, where the figures were meant in {to} all along, say so and save again.', { from, to })
  );
}
