import {
  biasKey,
  dailyScores,
  dailyWeights,
  dayOf,
  emptyFacts,
  exposuresOf,
  factLists,
  femaleHistory,
  insertByDayInPlace,
  isPresent,
  normalised,
  parseDay,
  sameDayPairs,
  scaleBiases,
  scorerBiases,
  scorerPairs,
  testedFemale,
  withOverrides,
  type AnimalFacts,
  type AnimalRecord,
  type BookView,
  type Day,
  type Exposure,
  type Reading,
  type SampleFact,
  type ScaleBias,
  type ScoreOnDay,
  type ScorerPair,
  type Species,
  type SpeciesOverrides,
  type SpeciesSettings,
  type TestedFemale,
} from '@yaylak/core';
import type { AnimalEntry, ArrivalEntry, PlanFacts, ProductFacts, SampleEntry, ScorersSetting } from '@yaylak/contract';
import { birthFact } from './birthFacts';
import { Family } from './family';
import { Litters } from './litters';
import { matingFact } from './matingFacts';
import { pregnancyFact } from './pregnancyFacts';
import { recordOf } from './toChecked';

export interface GroupRecord {
  readonly id: string;
  readonly name: string;
  readonly species: Species | null;
  readonly isClosed: boolean;
  readonly version: number;
}

export interface ProductRecord {
  readonly id: string;
  readonly facts: ProductFacts;
  readonly isClosed: boolean;
  readonly version: number;
}

export interface PlanRecord {
  readonly id: string;
  readonly facts: PlanFacts;
  readonly version: number;
}

/** Entries after which a male may run with others than before. */
const STAY_ENTRIES: readonly string[] = ['stay', 'stay-end', 'harness', 'departure', 'arrival'];
/** Entries the family is read anew after. */
const FAMILY_ENTRIES: readonly string[] = ['arrival', 'gene-test'];

/** Takes a change of the state back again. */
export type Undo = () => void;

/**
 * The book's present state in memory, struck entries left out: all lists and plans read from here. It changes only in
 * one synchronous step after a commit, so that nobody ever reads what was not written.
 */
export class HoldingState {
  readonly animals = new Map<string, AnimalFacts>();
  readonly groups = new Map<string, GroupRecord>();
  readonly youngByParent = new Map<string, Set<string>>();
  /** Grows with every change; whoever keeps derived figures keeps them for one version. */
  version = 0;
  /** Grows with every change of an animal, its parents or its gene tests. */
  familyVersion = 0;
  /** Grows with every change of whom males run with. */
  private staysVersion = 0;
  private exposuresKept: { readonly version: number; readonly all: readonly Exposure[] } | undefined;
  /** Who is kin to whom. */
  readonly family = new Family(this);
  /** Who was born by whom, and reared. */
  readonly litters = new Litters(this);
  readonly products = new Map<string, ProductRecord>();
  readonly jobs = new Set<string>();
  readonly plans = new Map<string, PlanRecord>();
  private readonly tubes = new Map<string, SampleFact[]>();
  private readonly wearers = new Map<string, Set<string>>();
  private settingsTable = withOverrides({});
  private scorers: ScorersSetting = { setRight: [] };
  private scorersKept:
    | { readonly version: number; readonly pairs: readonly ScorerPair[]; readonly biasOf: ReadonlyMap<string, number> }
    | undefined;
  private biasesKept: { readonly version: number; readonly byKey: ReadonlyMap<string, ScaleBias> } | undefined;

  setOverrides(overrides: SpeciesOverrides): void {
    this.settingsTable = withOverrides(overrides);
    this.familyVersion++;
    this.version++;
  }

  setScorers(scorers: ScorersSetting): void {
    this.scorers = scorers;
    this.version++;
  }

  settings(species: Species): SpeciesSettings {
    return this.settingsTable[species];
  }

  get allSettings(): Readonly<Record<Species, SpeciesSettings>> {
    return this.settingsTable;
  }

  /** How each person's tape and eye read beside the scale, by `biasKey`; worked out once a version. */
  get biases(): ReadonlyMap<string, ScaleBias> {
    if (this.biasesKept?.version !== this.version) {
      const pairs = [...this.animals.values()].flatMap((f) => sameDayPairs(f.weights, f.record.species));
      const byKey = new Map(scaleBiases(pairs).map((b) => [biasKey(b), b]));
      this.biasesKept = { version: this.version, byKey };
    }
    return this.biasesKept.byKey;
  }

  /** An animal's readings by day, guesses set right. */
  daily(facts: AnimalFacts): readonly Reading[] {
    return dailyWeights(facts, this.biases);
  }

  /** How the scorers felt the same animals; worked out once a version. */
  get scorerPairs(): readonly ScorerPair[] {
    return this.scorersRead().pairs;
  }

  /** An animal's scores by day, set right by the scorers the holding sets right. */
  scores(facts: AnimalFacts): readonly ScoreOnDay[] {
    return dailyScores(facts.scores, this.scorersRead().biasOf);
  }

  private scorersRead(): NonNullable<HoldingState['scorersKept']> {
    if (this.scorersKept?.version === this.version) return this.scorersKept;
    const pairs = scorerPairs([...this.animals.values()].map((f) => f.scores));
    const { reference, setRight } = this.scorers;
    const biases = reference === undefined ? [] : scorerBiases(pairs, reference);
    const used = biases.filter((b) => b.isUsable && setRight.includes(b.by));
    return (this.scorersKept = {
      version: this.version,
      pairs,
      biasOf: new Map(used.map((b) => [b.by, b.bias])),
    });
  }

  /** The state as the rules of the book see it. */
  view(today: Day): BookView {
    return {
      today,
      animal: (id) => this.animals.get(id),
      hasGroup: (id) => this.groups.has(id),
      hasProduct: (id) => this.products.has(id),
      hasJob: (id) => this.jobs.has(id),
      tubeOf: (tube, on) => this.tubeOf(tube, on),
      settings: (species) => this.settings(species),
      pair: (femaleId, maleId) => this.family.pair(femaleId, maleId),
      wearersOf: (plain) => this.wearersOf(plain),
      tested: (femaleId, on) => this.tested(femaleId, on),
      birthsOf: (damId) => this.litters.birthsOf(damId),
    };
  }

  /** Every stay of a male with a group, teasers too; worked out once for the stays there are. */
  get exposures(): readonly Exposure[] {
    if (this.exposuresKept?.version !== this.staysVersion) {
      const all = [...this.animals.values()].flatMap((f) => exposuresOf(f));
      this.exposuresKept = { version: this.staysVersion, all };
    }
    return this.exposuresKept.all;
  }

  /** What a test of a female on a day hangs on, see `testedFemale`. */
  tested(femaleId: string, on: Day): TestedFemale | undefined {
    const facts = this.animals.get(femaleId);
    if (!facts) return undefined;
    const births = this.litters.birthsOf(femaleId);
    const settings = this.settings(facts.record.species);
    return testedFemale(femaleHistory(facts, { exposures: this.exposures, births, settings, today: on }), births, on);
  }

  present(asOf: Day): AnimalFacts[] {
    return [...this.animals.values()].filter((facts) => isPresent(facts, asOf));
  }

  *wearersOf(plainText: string): Iterable<AnimalFacts> {
    for (const id of this.wearers.get(plainText) ?? []) {
      const facts = this.animals.get(id);
      if (facts) yield facts;
    }
  }

  setRecord(record: AnimalRecord): void {
    const facts = this.animals.get(record.id);
    if (!facts) return;
    this.unlinkParents(facts.record);
    facts.record = record;
    this.linkParents(record);
    this.familyVersion++;
    this.staysVersion++;
    this.version++;
  }

  /** Adds an entry's fact. */
  apply(entry: AnimalEntry): Undo {
    return this.withVersion(this.withFamily(entry, this.applied(entry)));
  }

  /** What was derived meanwhile does not hold any more once it is undone. */
  private withVersion(undo: Undo): Undo {
    return () => {
      undo();
      this.version++;
    };
  }

  /** Lets the family be read anew after a change of it, and after its undoing. */
  private withFamily(entry: AnimalEntry, undo: Undo): Undo {
    if (STAY_ENTRIES.includes(entry.type)) {
      this.staysVersion++;
      const back = undo;
      undo = () => {
        this.staysVersion++;
        back();
      };
    }
    if (!FAMILY_ENTRIES.includes(entry.type)) return undo;
    this.familyVersion++;
    return () => {
      this.familyVersion++;
      undo();
    };
  }

  private applied(entry: AnimalEntry): Undo {
    this.version++;
    if (entry.type === 'arrival') return this.applyArrival(entry);
    const facts = this.animals.get(entry.animalId);
    if (!facts) throw new Error(`entry ${entry.id} speaks of an animal that is not in the book`);
    const base = { entryId: entry.id, on: dayOf(entry.on) };
    switch (entry.type) {
      case 'identifier': {
        const { kind, text, colour, ear } = entry;
        this.addWearer(text, entry.animalId);
        return insert(facts.identifiers, { ...base, kind, text, colour, ear, shape: entry.shape });
      }
      case 'identifier-end':
        return insert(facts.identifierEnds, { ...base, identifierId: entry.identifierId, how: entry.how });
      case 'move':
        return insert(facts.moves, { ...base, groupId: entry.groupId });
      case 'weight':
        return insert(facts.weights, { ...base, kg: entry.kg, method: entry.method, by: entry.writtenBy });
      case 'mark': {
        const { colour, place, purpose, until } = entry;
        return insert(facts.marks, { ...base, colour, place, purpose, until: until ? parseDay(until) : undefined });
      }
      case 'choice':
        return insert(facts.choices, { ...base, decision: entry.decision });
      case 'departure':
        return insert(facts.departures, { ...base, how: entry.how, cause: entry.cause });
      case 'passage':
        return insert(facts.passages, { ...base, jobId: entry.jobId, gate: entry.gate });
      case 'treatment': {
        const { productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel = false } = entry;
        const fact = { ...base, productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel };
        return insert(facts.treatments, fact);
      }
      case 'look':
        return insert(facts.looks, { ...base, grades: entry.grades });
      case 'sample':
        return this.applySample(entry, facts.samples, base);
      case 'care':
        return insert(facts.cares, { ...base, kind: entry.kind, method: entry.method });
      case 'litter-weight':
        return insert(facts.litterWeights, { ...base, totalKg: entry.totalKg, count: entry.count });
      case 'score':
        return insert(facts.scores, { ...base, score: entry.score, by: entry.scoredBy });
      case 'mob':
        return insert(facts.mobs, { ...base, mob: entry.mob });
      case 'check':
        return insert(facts.checks, { ...base, what: entry.what, isFound: entry.isFound });
      case 'heat':
      case 'service':
      case 'stay':
      case 'stay-end':
      case 'harness':
      case 'male-check':
      case 'gene-test': {
        const { list, fact } = matingFact(entry, facts, base);
        return insert(list, fact);
      }
      case 'pregnancy-test':
      case 'loss':
      case 'way-on':
      case 'carrying-step': {
        const { list, fact } = pregnancyFact(entry, facts, base);
        return insert(list, fact);
      }
      case 'birth':
      case 'afterbirth':
      case 'colostrum':
      case 'fostering':
      case 'weaning':
      case 'feed':
      case 'pen-stage': {
        const { list, fact } = birthFact(entry, facts, base);
        return insert(list, fact);
      }
      case 'note':
        return () => undefined;
    }
  }

  /** Takes a struck entry's fact out. */
  strike(entry: AnimalEntry): Undo {
    return this.withVersion(this.withFamily(entry, this.struck(entry)));
  }

  private struck(entry: AnimalEntry): Undo {
    this.version++;
    const facts = this.animals.get(entry.animalId);
    if (!facts) return () => undefined;
    if (entry.type === 'arrival') {
      this.animals.delete(entry.animalId);
      this.unlinkParents(facts.record);
      return () => {
        this.animals.set(entry.animalId, facts);
        this.linkParents(facts.record);
      };
    }
    if (entry.type === 'sample') {
      const sample = facts.samples.find((f) => f.entryId === entry.id);
      if (!sample) return () => undefined;
      facts.samples.splice(facts.samples.indexOf(sample), 1);
      this.dropTube(entry);
      return () => void this.applySample(entry, facts.samples, { entryId: entry.id, on: sample.on });
    }
    for (const list of factLists(facts)) {
      const at = list.findIndex((f) => f.entryId === entry.id);
      if (at < 0) continue;
      const [taken] = list.splice(at, 1);
      return () => {
        if (taken) list.splice(at, 0, taken);
      };
    }
    return () => undefined;
  }

  private applyArrival(entry: ArrivalEntry): Undo {
    const record = recordOf(entry);
    const facts = emptyFacts(record);
    facts.arrivedOn = dayOf(entry.on);
    this.animals.set(record.id, facts);
    this.linkParents(record);
    return () => {
      this.animals.delete(record.id);
      this.unlinkParents(record);
    };
  }

  /** Who has a tube of this number of that day. Numbers come again with the next lot of tubes. */
  private tubeOf(tube: string, on: Day): string | undefined {
    const [animalId] = this.tubes.get(normalised(tube))?.flatMap((s) => (s.on === on ? [s.animalId] : [])) ?? [];
    return animalId;
  }

  private applySample(entry: SampleEntry, samples: SampleFact[], base: { entryId: string; on: Day }): Undo {
    const fact = { ...base, animalId: entry.animalId, tube: entry.tube, purpose: entry.purpose, jobId: entry.jobId };
    const plain = normalised(entry.tube);
    const undo = insert(samples, fact);
    this.tubes.set(plain, [...(this.tubes.get(plain) ?? []), fact]);
    return () => {
      undo();
      this.dropTube(entry);
    };
  }

  private dropTube(entry: SampleEntry): void {
    const plain = normalised(entry.tube);
    this.tubes.set(
      plain,
      (this.tubes.get(plain) ?? []).filter((s) => s.entryId !== entry.id),
    );
  }

  private addWearer(text: string, animalId: string): void {
    const plain = normalised(text);
    const set = this.wearers.get(plain);
    if (set) set.add(animalId);
    else this.wearers.set(plain, new Set([animalId]));
  }

  private linkParents({ id, damId, sireId }: AnimalRecord): void {
    for (const parent of [damId, sireId]) {
      if (parent === undefined) continue;
      const set = this.youngByParent.get(parent);
      if (set) set.add(id);
      else this.youngByParent.set(parent, new Set([id]));
    }
  }

  private unlinkParents({ id, damId, sireId }: AnimalRecord): void {
    for (const parent of [damId, sireId]) if (parent !== undefined) this.youngByParent.get(parent)?.delete(id);
  }
}

function insert<T extends { readonly entryId: string; readonly on: Day }>(list: T[], fact: T): Undo {
  insertByDayInPlace(list, fact);
  return () => {
    list.splice(list.indexOf(fact), 1);
  };
}
