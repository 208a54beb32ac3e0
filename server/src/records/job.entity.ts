import { defineEntity, p } from '@mikro-orm/core';
import type { GateChoice, Station, StationSettings } from '@yaylak/contract';

export const JobEntity = defineEntity({
  name: 'Job',
  tableName: 'job',
  properties: {
    id: p.uuid().primary(),
    name: p.string(),
    happenedOn: p.string(),
    isForItsDay: p.boolean().nullable(),
    startedAt: p.string(),
    startedBy: p.string(),
    stations: p.json<Station[]>(),
    settings: p.json<StationSettings>().nullable(),
    gates: p.json<GateChoice[]>(),
    animalIds: p.json<string[]>(),
    finishedAt: p.string().nullable(),
    discardedAt: p.string().nullable(),
  },
});
