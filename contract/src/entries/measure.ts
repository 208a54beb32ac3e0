import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';

/** Body measures by stick and tape, centimetres: at the withers, from the point of the shoulder to the pin bone, behind the elbows. */
export class MeasureEntry extends AnimalEntryBase {
  static readonly example = { heightCm: 68.5, lengthCm: 74, girthCm: 88 };

  @IsIn(['measure'])
  type: 'measure';
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(1_000)
  heightCm?: number;
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(1_000)
  lengthCm?: number;
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(1_000)
  girthCm?: number;
}
