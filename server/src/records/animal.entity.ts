import { defineEntity, p } from '@mikro-orm/core';

/** What an animal is. What happened to it are entries. */
export const AnimalEntity = defineEntity({
  name: 'Animal',
  tableName: 'animal',
  properties: {
    id: p.uuid().primary(),
    species: p.string(),
    sex: p.string(),
    bornOn: p.string().nullable(),
    dam: () => p.manyToOne(AnimalEntity).deleteRule('restrict').nullable().index(),
    donor: () => p.manyToOne(AnimalEntity).deleteRule('restrict').nullable().index(),
    sire: () => p.manyToOne(AnimalEntity).deleteRule('restrict').nullable().index(),
    birthType: p.integer().nullable(),
    rearingType: p.integer().nullable(),
    strain: p.string().nullable(),
    boughtMinor: p.integer().nullable(),
    birthKnownTo: p.string().nullable(),
    version: p.integer(),
  },
});
