import { STEPS } from '@yaylak/core';
import { IsIn, IsInt, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { IsNested, MayBeMissing } from '../nested';

/** Fat felt by hand, in thirds of a class: 1 is 1-, 15 is 5+. */
export class FeltFat {
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  tail?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  loin?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  ribs?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  brisket?: number;
}

/** How finished an animal is: shape by eye (1 is P-, 15 is E+) and fat by hand. */
export class FinishEntry extends AnimalEntryBase {
  static readonly example = { shape: 8, fat: { tail: 8, loin: 7, ribs: 8 } };

  @IsIn(['finish'])
  type: 'finish';
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  shape?: number;
  @MayBeMissing()
  @IsNested(() => FeltFat)
  fat?: FeltFat;
}
