import { EVIDENCE_WAYS, LOSS_WAYS, SCAN_FINDINGS, TEST_RESULTS, WAYS_ON } from '@yaylak/core';
import type { EvidenceWay, LossWay, ScanFinding, TestResult, WayOn } from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { MayBeMissing } from './nested';
import { AnimalEntryBase } from './entryBase';
import { MAX_NOTE, MAX_TEXT } from './rules';

/** She was tested or looked at for young; a laboratory's result is of the day the tube was filled. */
export class PregnancyTestEntry extends AnimalEntryBase {
  @IsIn(['pregnancy-test'])
  type: 'pregnancy-test';
  @IsIn(EVIDENCE_WAYS)
  way: EvidenceWay;
  @IsIn(TEST_RESULTS)
  result: TestResult;
  /** How many were seen or felt. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(20)
  young?: number;
  /** Age of the young as the scanner told it. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(400)
  ageDays?: number;
  @MayBeMissing()
  @IsArray()
  @ArrayUnique()
  @ArrayMaxSize(SCAN_FINDINGS.length)
  @IsIn(SCAN_FINDINGS, { each: true })
  findings?: ScanFinding[];
  /** Who held the scanner, or felt. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  testedBy?: string;
  /** Somebody who learns to tell the age, and what they said of the same one. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  learner?: string;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(400)
  learnerAgeDays?: number;
  /** The entry of the tube it was read from. */
  @MayBeMissing()
  @IsUUID()
  sampleId?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  laboratory?: string;
  /** Why it was made before it can tell. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** She lost what she carried. */
export class LossEntry extends AnimalEntryBase {
  @IsIn(['loss'])
  type: 'loss';
  @IsIn(LOSS_WAYS)
  how: LossWay;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  words?: string;
}

/** What is done with one that is empty or doubtful, as a person decided, with what was suggested and why. */
export class WayOnEntry extends AnimalEntryBase {
  @IsIn(['way-on'])
  type: 'way-on';
  @IsIn(WAYS_ON)
  decision: WayOn;
  @MayBeMissing()
  @IsIn(WAYS_ON)
  suggested?: WayOn;
  /** That she carried, as it was known then. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(1)
  chance?: number;
  /** The figures it stood on. */
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_NOTE)
  evidence?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** A step before the birth was done, by the name it has in the holding's list. */
export class CarryingStepEntry extends AnimalEntryBase {
  @IsIn(['carrying-step'])
  type: 'carrying-step';
  @IsString()
  @Length(1, MAX_TEXT)
  step: string;
}
