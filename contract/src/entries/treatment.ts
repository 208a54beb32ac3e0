import { DOSE_UNITS, ROUTES, WEIGHING_METHODS } from '@yaylak/core';
import type { DoseUnit, Route, WeighingMethod } from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** A remedy given. The withdrawal is written down with it: a label changed later changes no past. */
export class TreatmentEntry extends AnimalEntryBase {
  static readonly example = {
    productId: ID,
    amount: 8.5,
    unit: 'ml',
    route: 'mouth',
    batch: 'K-17',
    reason: 'worms',
    prescribedBy: 'the vet',
    doseKg: 41,
    doseMethod: 'scale',
    meatDays: 14,
    milkDays: 4,
    isOffLabel: true,
  };

  @IsIn(['treatment'])
  type: 'treatment';
  @IsUUID()
  productId: string;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Max(10_000)
  amount: number;
  @IsIn(DOSE_UNITS)
  unit: DoseUnit;
  @IsIn(ROUTES)
  route: Route;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  batch?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
  /** Whose prescription it was on. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  prescribedBy?: string;
  /** The weight the dose was worked from. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(3000)
  doseKg?: number;
  @MayBeMissing()
  @IsIn(WEIGHING_METHODS)
  doseMethod?: WeighingMethod;
  /** By the label, or by the vet where it was used off the label. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  meatDays?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  milkDays?: number;
  /** Another species, route or amount than the label says. */
  @MayBeMissing()
  @IsBoolean()
  isOffLabel?: boolean;
}
