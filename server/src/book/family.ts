import type { EntryType } from '@yaylak/contract';
import {
  bySpecies,
  geneKey,
  geneticParents,
  genotypes,
  inbreedingOf,
  kinship,
  pairRefusal,
  pedigreeOf,
  type AnimalFacts,
  type GeneOf,
  type GeneTest,
  type GenotypesFound,
  type PairJudged,
  type PairRefusal,
  type Pedigree,
  type Species,
  type SpeciesSettings,
  type WithParents,
} from '@yaylak/core';
import { Whole } from './derived';

/** What the family needs of the book. */
interface Book {
  readonly animals: ReadonlyMap<string, AnimalFacts>;
  /** Another with every change of an animal or its parents. */
  readonly familyVersion: number;
  versionsOf(kinds: readonly EntryType[]): number[];
  settings(species: Species): SpeciesSettings;
}

export interface GeneFound {
  readonly gene: string;
  readonly found: GenotypesFound;
}

/** Who is kin to whom, worked out once for each change of the animals. */
export class Family {
  private readonly all: Whole<{ readonly pedigree: Pedigree; readonly inbreeding: Float64Array }>;
  private readonly genesOfAll: Readonly<Record<Species, Whole<readonly GeneFound[]>>>;

  constructor(private readonly book: Book) {
    this.all = new Whole(
      () => [book.familyVersion],
      () => this.read(),
    );
    this.genesOfAll = bySpecies(
      (species) =>
        new Whole(
          () => book.versionsOf(['arrival', 'gene-test']),
          () => this.readGenes(species),
        ),
    );
  }

  get pedigree(): Pedigree {
    return this.all.get().pedigree;
  }

  /** In the pedigree's order. */
  get inbreeding(): Float64Array {
    return this.all.get().inbreeding;
  }

  inbreedingOf(id: string): number {
    const at = this.pedigree.indexOf.get(id);
    return at === undefined ? 0 : (this.inbreeding[at] ?? 0);
  }

  /** What the young of two would be, and whether they may be put together. */
  pair(femaleId: string, maleId: string): PairJudged {
    const { pedigree, inbreeding } = this.all.get();
    const expected = kinship(pedigree, inbreeding, femaleId, maleId);
    return { inbreeding: expected, refusal: this.refusalOf(femaleId, maleId, expected) };
  }

  /** Why two whose young would be so inbred are not put together. */
  refusalOf(femaleId: string, maleId: string, inbreeding: number): PairRefusal | undefined {
    const species = this.book.animals.get(femaleId)?.record.species;
    if (species === undefined) return undefined;
    return pairRefusal(
      { femaleId, maleId, inbreeding },
      this.book.settings(species).pairing,
      (id) => {
        const record = this.book.animals.get(id)?.record;
        return record && geneticParents(record);
      },
      this.genesOf(species),
    );
  }

  /** Each gene anybody of the species was tested for, under the name it was first written by. */
  genes(species: Species): readonly GeneFound[] {
    return this.genesOfAll[species].get();
  }

  private readGenes(species: Species): readonly GeneFound[] {
    const animals: WithParents[] = [];
    const genes = new Map<string, { readonly gene: string; readonly tests: GeneTest[] }>();
    for (const { record, geneTests } of this.book.animals.values()) {
      if (record.species !== species) continue;
      animals.push(geneticParents(record));
      for (const { gene, result } of geneTests) {
        const own = genes.get(geneKey(gene)) ?? { gene: gene.trim(), tests: [] };
        genes.set(geneKey(gene), own);
        own.tests.push({ animalId: record.id, result });
      }
    }
    const { alleleFrequency } = this.book.settings(species).pairing;
    return [...genes.values()].map(({ gene, tests }) => ({
      gene,
      found: genotypes({ animals, tests, alleleFrequency, errorRate: 0 }),
    }));
  }

  private genesOf(species: Species): GeneOf[] {
    return this.genes(species).map(({ gene, found }) => ({ gene, of: found.of }));
  }

  private read(): { readonly pedigree: Pedigree; readonly inbreeding: Float64Array } {
    const { animals } = this.book;
    const found = pedigreeOf([...animals.values()].map((f) => geneticParents(f.record)));
    // The rules of the book let no loop in; an old book that has one all the same is read without parents.
    const { pedigree } =
      found.kind === 'pedigree'
        ? found
        : (pedigreeOf([...animals.keys()].map((id) => ({ id, sireId: undefined, damId: undefined }))) as {
            pedigree: Pedigree;
          });
    return { pedigree, inbreeding: inbreedingOf(pedigree) };
  }
}
