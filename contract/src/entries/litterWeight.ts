import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';

/** A litter on the scale together, written down with its dam. */
export class LitterWeightEntry extends AnimalEntryBase {
  static readonly example = { totalKg: 1.9, count: 6, tareKg: 0.4 };

  @IsIn(['litter-weight'])
  type: 'litter-weight';
  /** Without the pan. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  totalKg: number;
  @IsInt()
  @Min(1)
  @Max(30)
  count: number;
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
}
