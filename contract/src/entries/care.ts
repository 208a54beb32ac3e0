import { CARE_KINDS } from '@yaylak/core';
import type { CareKind } from '@yaylak/core';
import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** Feet, fleece, navel, tail: a work done on it by hand. */
export class CareEntry extends AnimalEntryBase {
  static readonly example = { kind: 'dock', method: 'ring' };

  @IsIn(['care'])
  type: 'care';
  @IsIn(CARE_KINDS)
  kind: CareKind;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  method?: string;
}
