import { IsIn, IsUUID } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';

export class MoveEntry extends AnimalEntryBase {
  static readonly example = { groupId: ID };

  @IsIn(['move'])
  type: 'move';
  @IsUUID()
  groupId: string;
}
