import { defineEntity, p } from '@mikro-orm/core';
import type { ProductFacts } from '@yaylak/contract';

/** A product of the holding's list; what its label says is one piece, replaced as a whole on a version. */
export const ProductEntity = defineEntity({
  name: 'Product',
  tableName: 'product',
  properties: {
    id: p.uuid().primary(),
    facts: p.json<ProductFacts>(),
    isClosed: p.boolean(),
    version: p.integer(),
  },
});
