import { IsIn, IsUUID } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';

export class StayEndEntry extends AnimalEntryBase {
  static readonly example = { stayId: ID };

  @IsIn(['stay-end'])
  type: 'stay-end';
  /** The entry that put him in. */
  @IsUUID()
  stayId: string;
}
