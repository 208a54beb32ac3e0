import type { Options } from '@mikro-orm/core';
import { AnimalEntity } from '../records/animal.entity';
import { ENTRY_ENTITIES, EntryEntity } from '../records/entry.entities';
import { ChangeEntity } from '../records/change.entity';
import { ChoosingDraftEntity } from '../records/choosingDraft.entity';
import { DrillEntity } from '../records/drill.entity';
import { GroupEntity } from '../records/group.entity';
import { HoldingEntity } from '../records/holding.entity';
import { JobEntity } from '../records/job.entity';
import { TemplateEntity } from '../records/template.entity';
import { LoadEntity } from '../records/load.entity';
import { OutletEntity } from '../records/outlet.entity';
import { ProductEntity } from '../records/product.entity';
import { PlanEntity } from '../records/plan.entity';

export const ENTITIES: NonNullable<Options['entities']> = [
  HoldingEntity,
  GroupEntity,
  JobEntity,
  TemplateEntity,
  LoadEntity,
  OutletEntity,
  ProductEntity,
  DrillEntity,
  PlanEntity,
  ChangeEntity,
  ChoosingDraftEntity,
  AnimalEntity,
  EntryEntity,
  ...Object.values(ENTRY_ENTITIES),
];
