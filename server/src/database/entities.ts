import { AnimalEntity } from '../animals/animal.entity';
import * as entries from '../book/entry.entities';
import { DrillEntity } from '../condition/drill.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoldingEntity } from '../holding/holding.entity';
import { JobEntity } from '../jobs/job.entity';
import { TemplateEntity } from '../jobs/template.entity';
import { ProductEntity } from '../remedies/product.entity';
import { PlanEntity } from '../season/plan.entity';

export const ENTITIES = [
  HoldingEntity,
  GroupEntity,
  JobEntity,
  TemplateEntity,
  ProductEntity,
  DrillEntity,
  PlanEntity,
  AnimalEntity,
  ...Object.values(entries),
];
