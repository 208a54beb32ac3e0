import { MOBS } from '@yaylak/core';
import type { Mob } from '@yaylak/core';
import { IsIn } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';

/** Put into a feed mob, with what the score suggested. */
export class MobEntry extends AnimalEntryBase {
  static readonly example = { mob: 'thin', suggested: 'fit' };

  @IsIn(['mob'])
  type: 'mob';
  @IsIn(MOBS)
  mob: Mob;
  @MayBeMissing()
  @IsIn(MOBS)
  suggested?: Mob;
}
