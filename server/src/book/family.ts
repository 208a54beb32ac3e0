import {
  genotypes,
  inbreedingOf,
  kinship,
  pairRefusal,
  pedigreeOf,
  type AnimalFacts,
  type GeneOf,
  type GenotypesFound,
  type PairJudged,
  type PairRefusal,
  type Pedigree,
  type Species,
  type SpeciesSettings,
  type WithParents,
} from '@yaylak/core';

/** What the family needs of the book. */
interface Book {
  readonly animals: ReadonlyMap<string, AnimalFacts>;
  /** Grows with every change of an animal, its parents or its gene tests. */
  readonly familyVersion: number;
  settings(species: Species): SpeciesSettings;
}

export interface GeneFound {
  readonly gene: string;
  readonly found: GenotypesFound;
}

/** Who is kin to whom, worked out once for each change of the animals. */
export class Family {
  private kept:
    { readonly version: number; readonly pedigree: Pedigree; readonly inbreeding: Float64Array } | undefined;
  private genesKept = new Map<Species, { readonly version: number; readonly genes: readonly GeneFound[] }>();

  constructor(private readonly book: Book) {}

  get pedigree(): Pedigree {
    return this.read().pedigree;
  }

  /** In the pedigree's order. */
  get inbreeding(): Float64Array {
    return this.read().inbreeding;
  }

  inbreedingOf(id: string): number {
    const at = this.pedigree.indexOf.get(id);
    return at === undefined ? 0 : (this.inbreeding[at] ?? 0);
  }

  /** What the young of two would be, and whether they may be put together. */
  pair(femaleId: string, maleId: string): PairJudged {
    const { pedigree, inbreeding } = this.read();
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
      (id) => this.book.animals.get(id)?.record,
      this.genesOf(species),
    );
  }

  /** Genotypes of each gene anybody of the species was tested for; a gene whose tests contradict each other says nothing. */
  genes(species: Species): readonly GeneFound[] {
    const { familyVersion: version } = this.book;
    const known = this.genesKept.get(species);
    if (known?.version === version) return known.genes;
    const animals: WithParents[] = [];
    const tests = new Map<string, { animalId: string; result: 'free' | 'carrier' | 'affected' }[]>();
    for (const { record, geneTests } of this.book.animals.values()) {
      if (record.species !== species) continue;
      animals.push(record);
      for (const { gene, result } of geneTests)
        tests.set(gene, [...(tests.get(gene) ?? []), { animalId: record.id, result }]);
    }
    const { alleleFrequency } = this.book.settings(species).pairing;
    const genes = [...tests].map(([gene, own]) => ({
      gene,
      found: genotypes({ animals: related(animals, own), tests: own, alleleFrequency, errorRate: 0 }),
    }));
    this.genesKept.set(species, { version, genes });
    return genes;
  }

  private genesOf(species: Species): GeneOf[] {
    return this.genes(species).flatMap(({ gene, found }) =>
      found.kind === 'genotypes' ? [{ gene, of: (id: string) => found.of.get(id) }] : [],
    );
  }

  private read(): NonNullable<Family['kept']> {
    const { familyVersion: version, animals } = this.book;
    if (this.kept?.version === version) return this.kept;
    const found = pedigreeOf([...animals.values()].map((f) => f.record));
    // The rules of the book let no loop in; an old book that has one all the same is read without parents.
    const { pedigree } =
      found.kind === 'pedigree'
        ? found
        : (pedigreeOf([...animals.keys()].map((id) => ({ id, sireId: undefined, damId: undefined }))) as {
            pedigree: Pedigree;
          });
    return (this.kept = { version, pedigree, inbreeding: inbreedingOf(pedigree) });
  }
}

/** Those a test tells anything of: the tested, their ancestors, and all that come down from these. */
function related(animals: readonly WithParents[], tests: readonly { readonly animalId: string }[]): WithParents[] {
  const byId = new Map(animals.map((a) => [a.id, a]));
  const told = new Set<string>();
  const waiting = tests.map((t) => t.animalId);
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    const animal = byId.get(id);
    if (!animal || told.has(id)) continue;
    told.add(id);
    for (const parent of [animal.sireId, animal.damId]) if (parent !== undefined) waiting.push(parent);
  }
  // Animals may stand before their parents in the list: go round until nobody is added.
  for (let size = -1; size !== told.size;) {
    size = told.size;
    for (const a of animals) if ([a.sireId, a.damId].some((p) => p !== undefined && told.has(p))) told.add(a.id);
  }
  return animals.filter((a) => told.has(a.id));
}
