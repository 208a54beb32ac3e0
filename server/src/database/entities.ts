import { AnimalEntity } from '../animals/animal.entity';
import * as entries from '../book/entry.entities';
import { GroupEntity } from '../groups/group.entity';
import { HoldingEntity } from '../holding/holding.entity';
import { JobEntity } from '../jobs/job.entity';

export const ENTITIES = [HoldingEntity, GroupEntity, JobEntity, AnimalEntity, ...Object.values(entries)];
