import { AnimalEntity } from '../animals/animal.entity';
import * as entries from '../book/entry.entities';
import { DrillEntity } from '../condition/drill.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoldingEntity } from '../holding/holding.entity';
import { JobEntity } from '../jobs/job.entity';
import { TemplateEntity } from '../jobs/template.entity';
import { ProductEntity } from '../remedies/product.entity';

export const ENTITIES = [
  HoldingEntity,
  GroupEntity,
  JobEntity,
  TemplateEntity,
  ProductEntity,
  DrillEntity,
  AnimalEntity,
  ...Object.values(entries),
];
