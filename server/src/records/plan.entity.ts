import { defineEntity, p } from '@mikro-orm/core';
import type { PlanFacts } from '@yaylak/contract';

/** A plan of a season or a rolling cycle; one piece, replaced as a whole on a version. */
export const PlanEntity = defineEntity({
  name: 'Plan',
  tableName: 'season_plan',
  properties: { id: p.uuid().primary(), facts: p.json<PlanFacts>(), version: p.integer() },
});
