import { LOSS_WAYS } from '@yaylak/core';
import type { LossWay } from '@yaylak/core';
import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** She lost what she carried. */
export class LossEntry extends AnimalEntryBase {
  static readonly example = { how: 'slipped', words: 'two, by the hedge' };

  @IsIn(['loss'])
  type: 'loss';
  @IsIn(LOSS_WAYS)
  how: LossWay;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  words?: string;
}
