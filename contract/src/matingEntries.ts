import { GENE_RESULTS, HEAT_SIGN_NAMES, MALE_PARTS, PART_GRADES, SERVICE_WAYS } from '@yaylak/core';
import type { GeneResult, HeatSign, MalePart, PartGrade, ServiceWay } from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
} from 'class-validator';
import { MayBeMissing } from './nested';
import { AnimalEntryBase } from './entryBase';
import { MARK_COLOURS } from './kinds';
import { IsGrades, IsLocalTime, MAX_TEXT } from './rules';

/** Somebody looked at her for heat; nothing seen is a look as well. */
export class HeatEntry extends AnimalEntryBase {
  @IsIn(['heat'])
  type: 'heat';
  /** By the clock on the wall; its date is `on`. */
  @IsLocalTime()
  at: string;
  @IsArray()
  @ArrayUnique()
  @ArrayMaxSize(HEAT_SIGN_NAMES.length)
  @IsIn(HEAT_SIGN_NAMES, { each: true })
  signs: HeatSign[];
}

/** She was served, or a mark says so. */
export class ServiceEntry extends AnimalEntryBase {
  @IsIn(['service'])
  type: 'service';
  @IsIn(SERVICE_WAYS)
  way: ServiceWay;
  @MayBeMissing()
  @IsLocalTime()
  at?: string;
  /** All of the holding that may be the sire: one by hand, several where several ran. */
  @IsArray()
  @ArrayUnique()
  @ArrayMaxSize(30)
  @IsUUID(undefined, { each: true })
  maleIds: string[];
  /** Code of the straw. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  straw?: string;
  /** A male that is not in the book: "the neighbour's ram", "not known". */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  otherMale?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  batch?: string;
  /** Who put the straw in. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  technician?: string;
  /** Colour of the mark read. */
  @MayBeMissing()
  @IsIn(MARK_COLOURS)
  colour?: (typeof MARK_COLOURS)[number];
  @MayBeMissing()
  @IsBoolean()
  isWitnessed?: boolean;
  /** Offered again to see whether she refuses. */
  @MayBeMissing()
  @IsBoolean()
  isCheck?: boolean;
  /** Why, where the pair is one that is not put together. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** A male is put with a group of females. */
export class StayEntry extends AnimalEntryBase {
  @IsIn(['stay'])
  type: 'stay';
  @IsUUID()
  groupId: string;
  /** Of the raddle or harness he wears. */
  @MayBeMissing()
  @IsIn(MARK_COLOURS)
  colour?: (typeof MARK_COLOURS)[number];
  /** Finds heats, sires nothing. */
  @MayBeMissing()
  @IsBoolean()
  isTeaser?: boolean;
  /** Why, where he runs with females that are too young, or too near kin to him. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
export class StayEndEntry extends AnimalEntryBase {
  @IsIn(['stay-end'])
  type: 'stay-end';
  /** The entry that put him in. */
  @IsUUID()
  stayId: string;
}
/** Another colour on his harness, as each cycle gets its own. */
export class HarnessEntry extends AnimalEntryBase {
  @IsIn(['harness'])
  type: 'harness';
  @IsUUID()
  stayId: string;
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
}

/** A male looked at before the season. */
export class MaleCheckEntry extends AnimalEntryBase {
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

/** What a laboratory said of a recessive gene. */
export class GeneTestEntry extends AnimalEntryBase {
  @IsIn(['gene-test'])
  type: 'gene-test';
  @IsString()
  @Length(1, 40)
  gene: string;
  @IsIn(GENE_RESULTS)
  result: GeneResult;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  laboratory?: string;
  /** The entry of the tube it was read from. */
  @MayBeMissing()
  @IsUUID()
  sampleId?: string;
}
