import { defineEntity, p } from '@mikro-orm/core';
import type { LoadFacts } from '@yaylak/contract';

/** A load that is planned; who goes on it is one piece, replaced as a whole on a version. */
export const LoadEntity = defineEntity({
  name: 'Load',
  tableName: 'sale_load',
  properties: {
    id: p.uuid().primary(),
    facts: p.json<LoadFacts>(),
    version: p.integer(),
  },
});
