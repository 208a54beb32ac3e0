import { PEN_STAGES } from '@yaylak/core';
import type { PenStage } from '@yaylak/core';
import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** A dam goes on with her young: out of the pen they were born in, to others, to the group. */
export class PenStageEntry extends AnimalEntryBase {
  static readonly example = { stage: 'mixing', pen: '3' };

  @IsIn(['pen-stage'])
  type: 'pen-stage';
  @IsIn(PEN_STAGES)
  stage: PenStage;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  pen?: string;
}
