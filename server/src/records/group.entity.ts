import { defineEntity, p } from '@mikro-orm/core';

export const GroupEntity = defineEntity({
  name: 'Group',
  tableName: 'herd_group',
  properties: {
    id: p.uuid().primary(),
    name: p.string().unique(),
    species: p.string().nullable(),
    isClosed: p.boolean(),
    version: p.integer(),
  },
});
