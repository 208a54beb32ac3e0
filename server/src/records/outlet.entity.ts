import { defineEntity, p } from '@mikro-orm/core';
import type { OutletFacts } from '@yaylak/contract';

/** Somewhere animals are sold; all it pays is one piece, replaced as a whole on a version. */
export const OutletEntity = defineEntity({
  name: 'Outlet',
  tableName: 'outlet',
  properties: {
    id: p.uuid().primary(),
    facts: p.json<OutletFacts>(),
    isClosed: p.boolean(),
    version: p.integer(),
  },
});
