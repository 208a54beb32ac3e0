import { IsIn, IsString, IsUUID, MaxLength } from 'class-validator';
import { EntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** Strikes an entry out; it stays in the book, greyed, with who and when. */
export class StrikeEntry extends EntryBase {
  static readonly example = { entryId: ID, reason: 'misread' };

  @IsIn(['strike'])
  type: 'strike';
  @IsUUID()
  entryId: string;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
