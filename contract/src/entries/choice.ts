import { DECISIONS } from '@yaylak/core';
import type { Decision } from '@yaylak/core';
import { IsIn, IsInt, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_NOTE, MAX_TEXT } from '../rules';

/** Keep, second string, sell or cull, as a person decided, with what was suggested. */
export class ChoiceEntry extends AnimalEntryBase {
  static readonly example = {
    decision: 'keep',
    suggested: 'sell',
    among: 'ewe lambs',
    place: 1,
    of: 9,
    reason: 'bred well',
  };

  @IsIn(['choice'])
  type: 'choice';
  @IsIn(DECISIONS)
  decision: Decision;
  @MayBeMissing()
  @IsIn(DECISIONS)
  suggested?: Decision;
  @IsString()
  @Length(1, MAX_TEXT)
  among: string;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(100_000)
  place?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(100_000)
  of?: number;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_NOTE)
  reason?: string;
}
