import { defineEntity, p } from '@mikro-orm/core';
import type { DrillAnswer } from '@yaylak/contract';

/** A drill in the practice corner: what one hand said to the written cases. */
export const DrillEntity = defineEntity({
  name: 'Drill',
  tableName: 'drill',
  properties: {
    id: p.uuid().primary(),
    takenOn: p.string(),
    takenBy: p.string(),
    answers: p.json<DrillAnswer[]>(),
  },
});
