import { WEIGHING_METHODS } from '@yaylak/core';
import type { WeighingMethod } from '@yaylak/core';
import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';

export class WeightEntry extends AnimalEntryBase {
  static readonly example = { kg: 27.2, method: 'scale', tareKg: 1.5 };

  @IsIn(['weight'])
  type: 'weight';
  /** Kilograms. Limits by species are the book's rule, so that the refusal can name the animal. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  kg: number;
  @IsIn(WEIGHING_METHODS)
  method: WeighingMethod;
  /** What the pan or basket weighed; `kg` is without it. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
}
