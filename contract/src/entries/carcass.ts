import { STEPS } from '@yaylak/core';
import { IsIn, IsInt, IsNumber, IsUUID, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';

/** What came back of one that was killed: its carcass, how it was graded, what was paid. */
export class CarcassEntry extends AnimalEntryBase {
  static readonly example = {
    carcassKg: 20.4,
    shape: 9,
    fat: 8,
    priceMinor: 11_260,
    deductedMinor: 240,
    outletId: ID,
  };

  @IsIn(['carcass'])
  type: 'carcass';
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.01)
  @Max(2_000)
  carcassKg: number;
  /** In thirds of a class: 1 is P-, 15 is E+. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  shape?: number;
  /** In thirds of a class: 1 is 1-, 15 is 5+. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  fat?: number;
  /** Paid before anything was taken off, hundredths of the holding's money. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  priceMinor?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  deductedMinor?: number;
  /** Where it was killed, where the departure does not say so. */
  @MayBeMissing()
  @IsUUID()
  outletId?: string;
}
