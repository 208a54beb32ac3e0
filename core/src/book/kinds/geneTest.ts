import type { GeneResult } from '../../pedigree';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface GeneTestWritten {
  readonly gene: string;
  readonly result: GeneResult;
  readonly sampleId?: string | undefined;
}

export interface GeneTestFact extends Fact {
  readonly gene: string;
  readonly result: GeneResult;
  readonly sampleId: string | undefined;
  readonly by: string;
}

/** What a laboratory said of a gene. */
export const geneTest: FactKind<'geneTests', GeneTestWritten, GeneTestFact> = {
  list: 'geneTests',
  fact: ({ gene, result, sampleId, writtenBy }, base) => ({ gene, result, sampleId, by: writtenBy, ...base }),
  check({ gene, sampleId }, facts) {
    if (gene.trim() === '') return { code: 'empty', field: 'gene', value: gene };
    return sampleId === undefined || facts.samples.some((s) => s.entryId === sampleId)
      ? undefined
      : { code: 'unknown-sample', field: 'sampleId', value: sampleId };
  },
};
