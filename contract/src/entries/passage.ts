import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_NOTE, MAX_TEXT } from '../rules';

/** Through the race: seen, and by which gate it left. */
export class PassageEntry extends AnimalEntryBase {
  static readonly example = { gate: 'Keep', suggested: 'Sell', why: 'too lame for the crate' };

  @IsIn(['passage'])
  type: 'passage';
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  gate?: string;
  /** The gate the job's rule suggested, where there was one. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  suggested?: string;
  /** Why it passed without what the job is for. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_NOTE)
  why?: string;
}
