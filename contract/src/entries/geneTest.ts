import { GENE_RESULTS } from '@yaylak/core';
import type { GeneResult } from '@yaylak/core';
import { IsIn, IsString, IsUUID, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** What a laboratory said of a recessive gene. */
export class GeneTestEntry extends AnimalEntryBase {
  static readonly example = { gene: 'grey lamb', result: 'carrier', laboratory: 'Upland lab', sampleId: ID };

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
