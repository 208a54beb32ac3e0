import { defineEntity, p } from '@mikro-orm/core';
import type { DraftFacts } from '@yaylak/contract';

/** A choice that is being made among a set of animals; one piece, changed on a version. */
export const ChoosingDraftEntity = defineEntity({
  name: 'ChoosingDraft',
  tableName: 'choosing_draft',
  properties: {
    id: p.string().primary(),
    species: p.string(),
    sex: p.string(),
    /** First day of birth of the crop when the draft was begun; none of the grown. */
    fromDay: p.string().nullable(),
    facts: p.json<DraftFacts>(),
    version: p.integer(),
  },
});
