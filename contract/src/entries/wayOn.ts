import { WAYS_ON } from '@yaylak/core';
import type { WayOn } from '@yaylak/core';
import { IsIn, IsNumber, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_NOTE, MAX_TEXT } from '../rules';

/** What is done with one that is empty or doubtful, as a person decided, with what was suggested and why. */
export class WayOnEntry extends AnimalEntryBase {
  static readonly example = {
    decision: 'sell',
    suggested: 'serve-again',
    chance: 0.14,
    evidence: 'serve again 38, sell 61',
    reason: 'her second empty year',
  };

  @IsIn(['way-on'])
  type: 'way-on';
  @IsIn(WAYS_ON)
  decision: WayOn;
  @MayBeMissing()
  @IsIn(WAYS_ON)
  suggested?: WayOn;
  /** That she carried, as it was known then. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(1)
  chance?: number;
  /** The figures it stood on. */
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_NOTE)
  evidence?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
