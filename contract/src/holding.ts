import { SEXES, SPECIES, TAG_COLOURS, TAG_SHAPES } from '@yaylak/core';
import type {
  PointsWeights,
  Sex,
  Species,
  SpeciesOverrides,
  SpeciesSettings,
  Standard,
  TagColour,
  TagShape,
  WeightUnit,
} from '@yaylak/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
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
import { CalendarSetting, ResourcesSetting } from './season';

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

export class StandardSetting implements Standard {
  @IsString()
  @Length(1, 60)
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(SEXES.length)
  @IsIn(SEXES, { each: true })
  sexes: Sex[];
  @IsString()
  @Length(1, 40)
  name: string;
  @IsString()
  @Length(0, MAX_TEXT)
  fails: string;
  @IsIn(['go', 'points'])
  kind: 'go' | 'points';
}

/** Whose hand the others are held against, and whose scores are set right by it. */
export class ScorersSetting {
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  reference?: string;
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, MAX_TEXT, { each: true })
  setRight: string[];
}

/** A bag of blank tags: numbers with the same text before a running number, from and to. */
export class BlankTags {
  @IsString()
  @Length(1, 60)
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(TAG_COLOURS)
  colour: TagColour;
  @IsIn(TAG_SHAPES)
  shape: TagShape;
  @IsString()
  @Length(1, 40)
  first: string;
  @IsString()
  @Length(1, 40)
  last: string;
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
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(80)
  @ValidateNested({ each: true })
  @Type(() => StandardSetting)
  standards?: StandardSetting[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => BlankTags)
  blankTags?: BlankTags[];
  @IsOptional()
  @ValidateNested()
  @Type(() => ScorersSetting)
  scorers?: ScorersSetting;
  @IsOptional()
  @ValidateNested()
  @Type(() => ResourcesSetting)
  resources?: ResourcesSetting;
  @IsOptional()
  @ValidateNested()
  @Type(() => CalendarSetting)
  calendar?: CalendarSetting;
}

export interface HoldingView {
  readonly name: string;
  readonly keeper: string;
  readonly unit: WeightUnit;
  readonly currency: string;
  readonly pointsWeights: PointsWeights;
  readonly overrides: SpeciesOverrides;
  readonly species: Readonly<Record<Species, SpeciesSettings>>;
  readonly standards: readonly StandardSetting[];
  readonly blankTags: readonly BlankTags[];
  readonly scorers: ScorersSetting;
  readonly resources: ResourcesSetting;
  readonly calendar: CalendarSetting;
  readonly version: number;
  readonly today: string;
  readonly about: {
    readonly version: string;
    readonly animals: number;
    readonly entries: number;
    readonly backups: number;
    /** A bridge to stick and crate that the server was told of. */
    readonly devicesUrl: string | null;
  };
}

/** The next free numbers by a species' template. */
export interface NextNumbers {
  readonly numbers: readonly string[];
}
