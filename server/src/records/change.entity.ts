import { defineEntity, p } from '@mikro-orm/core';
import type { Leaves } from '@yaylak/contract';

/** What a thing that is changed in place said before, and who changed it when. */
export const ChangeEntity = defineEntity({
  name: 'Change',
  tableName: 'change',
  indexes: [{ name: 'change_of_thing', properties: ['what', 'thingId', 'id'] }],
  properties: {
    id: p.uuid().primary(),
    at: p.string(),
    changedBy: p.string(),
    what: p.string(),
    thingId: p.string(),
    before: p.json<Leaves>().nullable(),
    after: p.json<Leaves>().nullable(),
  },
});
