import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { SAMPLE_PURPOSES } from '../kinds';
import type { SamplePurpose } from '../kinds';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** A tube, swab or pot taken of it. */
export class SampleEntry extends AnimalEntryBase {
  static readonly example = { tube: 'B-014', purpose: 'blood', reason: 'thin' };

  @IsIn(['sample'])
  type: 'sample';
  @IsString()
  @Length(1, 40)
  tube: string;
  @IsIn(SAMPLE_PURPOSES)
  purpose: SamplePurpose;
  /** Why blood was taken before the test can tell. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
