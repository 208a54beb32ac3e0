import { MALE_PARTS, PART_GRADES } from '@yaylak/core';
import type { MalePart, PartGrade } from '@yaylak/core';
import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { IsGrades } from '../rules';

/** A male looked at before the season. */
export class MaleCheckEntry extends AnimalEntryBase {
  static readonly example = { grades: { feet: 'good', testicles: 'fail' }, girthCm: 32.5 };

  @IsIn(['male-check'])
  type: 'male-check';
  @IsGrades(MALE_PARTS, PART_GRADES)
  grades: Partial<Record<MalePart, PartGrade>>;
  /** Around the testicles. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(1)
  @Max(80)
  girthCm?: number;
}
