import { defineEntity, p } from '@mikro-orm/core';
import type {
  BlankTags,
  CalendarSetting,
  ChoosingSetting,
  DecisionMarksSetting,
  ResourcesSetting,
  ScorersSetting,
  StandardSetting,
} from '@yaylak/contract';
import type { PointsWeights, Species, SpeciesOverrides } from '@yaylak/core';

/** The holding's settings: one row. */
export const HoldingEntity = defineEntity({
  name: 'Holding',
  tableName: 'holding',
  properties: {
    id: p.integer().primary(),
    name: p.string(),
    keeper: p.string(),
    unit: p.string(),
    dateOrder: p.string().nullable(),
    weekStart: p.string().nullable(),
    currency: p.string(),
    pointsWeights: p.json<PointsWeights>(),
    species: p.json<SpeciesOverrides>(),
    keeps: p.json<Species[]>().nullable(),
    standards: p.json<StandardSetting[]>().nullable(),
    blankTags: p.json<BlankTags[]>().nullable(),
    scorers: p.json<ScorersSetting>().nullable(),
    resources: p.json<ResourcesSetting>().nullable(),
    calendar: p.json<CalendarSetting>().nullable(),
    decisionMarks: p.json<DecisionMarksSetting>().nullable(),
    choosing: p.json<ChoosingSetting>().nullable(),
    /** What the calendar's address is known by; made once. */
    calendarKey: p.string().nullable(),
    version: p.integer(),
  },
});
