import { IsIn, IsString, IsUUID, Length } from 'class-validator';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';
import { AnimalEntryBase } from '../entryBase';

/** Put under a dam, another's or its own again; without a dam it is reared by hand. */
export class FosteringEntry extends AnimalEntryBase {
  static readonly example = { damId: ID, reason: 'no milk' };

  @IsIn(['fostering'])
  type: 'fostering';
  @MayBeMissing()
  @IsUUID()
  damId?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
