import type { PointsWeights, Species, SpeciesOverrides, SpeciesSettings, WeightUnit } from '@yaylak/core';
import { Type } from 'class-transformer';
import {
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { MAX_TEXT } from './rules';

export class PointsWeightsSetting implements PointsWeights {
  @IsNumber()
  @Min(0)
  @Max(1000)
  growth: number;
  @IsNumber()
  @Min(0)
  @Max(1000)
  damRecord: number;
  @IsNumber()
  @Min(0)
  @Max(1000)
  lastGain: number;
}

/** A change of the holding's settings on a version of them. */
export class ChangeHolding {
  @IsInt()
  @Min(1)
  version: number;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  name?: string;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  keeper?: string;
  @IsOptional()
  @IsIn(['kg', 'lb'])
  unit?: WeightUnit;
  @IsOptional()
  @Matches(/^[A-Z]{3}$/, { message: 'currency is three capital letters, such as EUR' })
  currency?: string;
  @IsOptional()
  @ValidateNested()
  @Type(() => PointsWeightsSetting)
  pointsWeights?: PointsWeightsSetting;
  /** Whole fields of the species table to lay over it; checked field by field by the server. */
  @IsOptional()
  @IsObject()
  species?: SpeciesOverrides;
}

export interface HoldingView {
  readonly name: string;
  readonly keeper: string;
  readonly unit: WeightUnit;
  readonly currency: string;
  readonly pointsWeights: PointsWeights;
  readonly overrides: SpeciesOverrides;
  readonly species: Readonly<Record<Species, SpeciesSettings>>;
  readonly version: number;
  readonly today: string;
  readonly about: {
    readonly version: string;
    readonly dataFile: string;
    readonly animals: number;
    readonly entries: number;
    readonly backups: number;
  };
}

/** The next free numbers by a species' template. */
export interface NextNumbers {
  readonly numbers: readonly string[];
}
