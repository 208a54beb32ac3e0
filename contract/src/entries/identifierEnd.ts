import { IsIn, IsString, IsUUID, MaxLength } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { IDENTIFIER_ENDS } from '../kinds';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

export class IdentifierEndEntry extends AnimalEntryBase {
  static readonly example = { identifierId: ID, how: 'lost', reason: 'fence' };

  @IsIn(['identifier-end'])
  type: 'identifier-end';
  /** The entry that fitted it. */
  @IsUUID()
  identifierId: string;
  @IsIn(IDENTIFIER_ENDS)
  how: (typeof IDENTIFIER_ENDS)[number];
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
