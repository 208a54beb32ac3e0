import { EVIDENCE_WAYS, SCAN_FINDINGS, TEST_RESULTS } from '@yaylak/core';
import type { EvidenceWay, ScanFinding, TestResult } from '@yaylak/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsInt, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';
import { AnimalEntryBase } from '../entryBase';

/** She was tested or looked at for young; a laboratory's result is of the day the tube was filled. */
export class PregnancyTestEntry extends AnimalEntryBase {
  static readonly example = {
    way: 'scan',
    result: 'carrying',
    young: 2,
    ageDays: 62,
    findings: ['unequal'],
    testedBy: 'Selin',
    learner: 'Kerem',
    learnerAgeDays: 66,
    sampleId: ID,
    laboratory: 'Upland lab',
    reason: 'the van leaves tomorrow',
  };

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
