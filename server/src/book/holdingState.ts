import {
  biasKey,
  bySpecies,
  dailyScores,
  dailyWeights,
  dayOf,
  emptyFacts,
  exposuresOf,
  factsUntil,
  groupOn,
  holdsBack,
  factLists,
  femaleHistory,
  insertByDayInPlace,
  isGuess,
  isPresent,
  maleHeldBack,
  momentAt,
  normalised,
  parseDay,
  readyToMate,
  testedFemale,
  wasNearMale,
  withOverrides,
  type AnimalFacts,
  type AnimalRecord,
  type ChangeBook,
  type Day,
  type Exposure,
  type FemaleReason,
  type Moment,
  type Reading,
  type SampleFact,
  type ScaleBias,
  type ScoreOnDay,
  type ScorerPair,
  type Species,
  type SpeciesOverrides,
  type SpeciesSettings,
  type TestedFemale,
  type WeightUnit,
} from '@yaylak/core';
import {
  ENTRY_TYPES,
  type AnimalEntry,
  type ArrivalEntry,
  type EntryType,
  type PlanFacts,
  type ProductFacts,
  type SampleEntry,
  type ScorersSetting,
  type Station,
} from '@yaylak/contract';
import { Biases } from './biases';
import { birthFact } from './birthFacts';
import { Derived, Whole } from './derived';
import { Family } from './family';
import { Litters } from './litters';
import { matingFact } from './matingFacts';
import { pregnancyFact } from './pregnancyFacts';
import { Stamps, type Undo } from './stamps';
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

const NOON = 12 * 60;

/** Entries after which a male may run with others than before. */
const STAY_ENTRIES: readonly EntryType[] = ['stay', 'stay-end', 'harness', 'departure'];
/** Entries after which an animal has other kin than before. */
const KIN_ENTRIES: readonly EntryType[] = ['arrival', 'fostering'];

/** Applies an entry; an arrival with the record its animal has now. */
export type Fill = (entry: AnimalEntry, record?: AnimalRecord) => void;

/**
 * The book's present state in memory, struck entries left out: all lists and plans read from here. It changes only in
 * one synchronous step after a commit, so that nobody ever reads what was not written.
 */
export class HoldingState {
  readonly animals = new Map<string, AnimalFacts>();
  readonly groups = new Map<string, GroupRecord>();
  readonly youngByParent = new Map<string, Set<string>>();
  readonly products = new Map<string, ProductRecord>();
  /** What is done in each job. */
  readonly jobs = new Map<string, readonly Station[]>();
  readonly plans = new Map<string, PlanRecord>();
  private readonly stamps: Stamps;
  private readonly biases = new Biases();
  /** By kind of entry, another with each change of one; an animal's record counts as its arrival. */
  private readonly kindStamps = new Map<EntryType, Stamps>();
  /** Stands for the settings, and for groups, products and plans. */
  private readonly settingsStamps: Stamps;
  private readonly recordsStamps: Stamps;
  private readonly tubes = new Map<string, SampleFact[]>();
  private readonly wearers = new Map<string, Set<string>>();
  private readonly groupMembers = new Map<string, Set<string>>();
  private settingsTable = withOverrides({});
  private weightUnit: WeightUnit = 'kg';
  private presentOn: Day | undefined;
  private readonly presentThen: Whole<readonly AnimalFacts[]>;
  /** Who is kin to whom. */
  readonly family: Family;
  /** Who was born by whom, and reared. */
  readonly litters: Litters;
  private readonly bySpecies: Readonly<Record<Species, Whole<readonly AnimalFacts[]>>>;
  private readonly allExposures: Whole<readonly Exposure[]>;
  private readonly dailyOf: Derived<readonly Reading[]>;
  private readonly scoresOf: Derived<readonly ScoreOnDay[]>;

  /** @param before the state of the same book that this one takes the place of */
  constructor(before?: HoldingState) {
    this.stamps = new Stamps(before?.stamps.newest);
    for (const type of ENTRY_TYPES) this.kindStamps.set(type, new Stamps(before?.kindStamps.get(type)?.newest));
    this.settingsStamps = new Stamps(before?.settingsStamps.newest);
    this.recordsStamps = new Stamps(before?.recordsStamps.newest);
    this.family = new Family(this);
    this.litters = new Litters(this);
    this.allExposures = new Whole(
      () => this.versionsOf(STAY_ENTRIES),
      () => [...this.animals.values()].flatMap((f) => exposuresOf(f)),
    );
    this.bySpecies = bySpecies(
      (species) =>
        new Whole(
          () => [this.familyVersion],
          () => [...this.animals.values()].filter((f) => f.record.species === species),
        ),
    );
    this.presentThen = new Whole(
      () => [...this.versionsOf(['arrival', 'departure']), this.presentOn],
      () => [...this.animals.values()].filter((facts) => isPresent(facts, this.presentOn as Day)),
    );
    this.dailyOf = new Derived(
      () => this,
      (facts) => dailyWeights(facts, this.tapeBiases),
    );
    this.scoresOf = new Derived(
      () => this,
      (facts) => dailyScores(facts.scores, this.biases.scorerBias),
    );
  }

  /** Another with every change of a fact or a setting, and the same again when a change is taken back. */
  get version(): number {
    this.settle();
    return this.stamps.version;
  }

  /** Versions of some kinds of entry, for what hangs on no other facts than these. */
  versionsOf(kinds: readonly EntryType[]): number[] {
    return kinds.map((kind) => this.kindStamps.get(kind)?.version ?? 0);
  }

  /** Another with every change of an animal or its parents. */
  get familyVersion(): number {
    return this.kindStamps.get('arrival')?.version ?? 0;
  }

  /** Another with every change of a setting. */
  get settingsVersion(): number {
    return this.settingsStamps.version;
  }

  /** Another with every change of a group, a product or a plan. */
  get recordsVersion(): number {
    return this.recordsStamps.version;
  }

  /** In which state an animal, or another its figures hang on, was last touched. */
  stampOf(animalId: string): number {
    this.settle();
    return this.stamps.of(animalId);
  }

  /** Who may be another than in an earlier version; undefined where that is too long ago to tell. */
  touchedSince(version: number): ReadonlySet<string> | undefined {
    this.settle();
    return this.stamps.touchedSince(version);
  }

  setOverrides(overrides: SpeciesOverrides): void {
    this.settingsTable = withOverrides(overrides);
    this.changedAll();
  }

  /** What the holding weighs in, for words. */
  get unit(): WeightUnit {
    return this.weightUnit;
  }

  setUnit(unit: WeightUnit): void {
    this.weightUnit = unit;
    this.changedAll();
  }

  setScorers(scorers: ScorersSetting): void {
    this.biases.setScorers(scorers);
    this.changedAll();
  }

  /** Everything may be another: the settings changed, or the book was read. */
  private changedAll(): void {
    for (const stamps of [this.stamps, this.settingsStamps, this.recordsStamps, ...this.kindStamps.values()])
      stamps.touchAll();
  }

  setGroup(group: GroupRecord): void {
    this.groups.set(group.id, group);
    this.recordsStamps.touchAll();
  }

  removeGroup(id: string): void {
    this.groups.delete(id);
    this.recordsStamps.touchAll();
  }

  removeProduct(id: string): void {
    this.products.delete(id);
    this.recordsStamps.touchAll();
  }

  setProduct(product: ProductRecord): void {
    this.products.set(product.id, product);
    this.recordsStamps.touchAll();
  }

  setPlan(plan: PlanRecord): void {
    this.plans.set(plan.id, plan);
    this.recordsStamps.touchAll();
  }

  removePlan(id: string): void {
    this.plans.delete(id);
    this.recordsStamps.touchAll();
  }

  settings(species: Species): SpeciesSettings {
    return this.settingsTable[species];
  }

  get allSettings(): Readonly<Record<Species, SpeciesSettings>> {
    return this.settingsTable;
  }

  /** How each person's tape and eye read beside the scale, by `biasKey`. */
  get tapeBiases(): ReadonlyMap<string, ScaleBias> {
    this.settle();
    return this.biases.byKey;
  }

  /** An animal's readings by day, guesses set right. */
  daily(facts: AnimalFacts): readonly Reading[] {
    return this.dailyOf.of(facts);
  }

  /** How the scorers felt the same animals. */
  get scorerPairs(): readonly ScorerPair[] {
    this.settle();
    return this.biases.scorerPairs;
  }

  /** An animal's scores by day, set right by the scorers the holding sets right. */
  scores(facts: AnimalFacts): readonly ScoreOnDay[] {
    return this.scoresOf.of(facts);
  }

  /** Touches those whose readings are set right otherwise since a hand has another bias. */
  private settle(): void {
    if (!this.biases.isOpen) return;
    const { keys, scorers } = this.biases.settle();
    if (keys.size + scorers.size === 0) return;
    const kin = new Set<string>();
    for (const facts of this.animals.values()) {
      const { species } = facts.record;
      const isOther =
        facts.weights.some(({ method, by }) => isGuess(method) && keys.has(biasKey({ method, by, species }))) ||
        facts.scores.some((s) => scorers.has(s.by));
      if (isOther) for (const id of this.litters.kinOf(facts)) kin.add(id);
    }
    this.stamps.touch(kin);
  }

  /** All animals of a species that are or were here, in the order they came. */
  ofSpecies(species: Species): readonly AnimalFacts[] {
    return this.bySpecies[species].get();
  }

  /** The state as the rules of the book see it. */
  view(today: Day, now: Moment): ChangeBook {
    return {
      today,
      now,
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
      youngOf: (id) =>
        [...(this.youngByParent.get(id) ?? [])].flatMap((young) => this.animals.get(young)?.record ?? []),
      heldBack: (femaleId, on) => this.heldBack(femaleId, on, on === today ? now : momentAt(on, NOON)),
      maleHeldBack: (maleId, on) => {
        const male = this.animals.get(maleId);
        return male ? maleHeldBack(male, this.settings(male.record.species), on) : [];
      },
      femalesIn: (groupId, on) =>
        [...(this.groupMembers.get(groupId) ?? [])].flatMap((id) => {
          const facts = this.animals.get(id);
          const isThere = facts?.record.sex === 'female' && groupOn(facts, on) === groupId && isPresent(facts, on);
          return isThere ? [facts] : [];
        }),
      wasNearMale: (femaleId, stretch) => {
        const female = this.animals.get(femaleId);
        if (!female) return true;
        const { species } = female.record;
        const males = this.ofSpecies(species).filter((f) => f.record.sex === 'male');
        return wasNearMale(female, stretch, { males, exposures: this.exposures, settings: this.settings(species) });
      },
    };
  }

  /** Why a female is not to be mated on a day, by what was known then; cautions left out. */
  private heldBack(femaleId: string, on: Day, now: Moment): readonly FemaleReason[] {
    const facts = this.animals.get(femaleId);
    if (!facts) return [];
    const known = factsUntil(facts, on);
    const births = this.litters.birthsOf(femaleId).filter((b) => b.on <= on);
    const settings = this.settings(facts.record.species);
    const found = readyToMate(known, {
      history: femaleHistory(known, { exposures: this.exposures, births, settings, today: on }),
      births,
      daily: this.daily(facts).filter((r) => r.on <= on),
      scores: this.scores(facts).filter((s) => s.on <= on),
      prior: settings.season.conceptionShare,
      settings,
      today: on,
      now,
    });
    return found.reasons.filter(holdsBack);
  }

  /** Every stay of a male with a group, teasers too. */
  get exposures(): readonly Exposure[] {
    return this.allExposures.get();
  }

  /** What a test of a female on a day hangs on, see `testedFemale`. */
  tested(femaleId: string, on: Day): TestedFemale | undefined {
    const facts = this.animals.get(femaleId);
    if (!facts) return undefined;
    const births = this.litters.birthsOf(femaleId);
    const settings = this.settings(facts.record.species);
    return testedFemale(femaleHistory(facts, { exposures: this.exposures, births, settings, today: on }), births, on);
  }

  /** Those on the holding on a day, in the order they came. */
  present(asOf: Day): readonly AnimalFacts[] {
    this.presentOn = asOf;
    return this.presentThen.get();
  }

  *wearersOf(plainText: string): Iterable<AnimalFacts> {
    for (const id of this.wearers.get(plainText) ?? []) {
      const facts = this.animals.get(id);
      if (facts) yield facts;
    }
  }

  /** Puts another record in an animal's place; its parents, old and new, and their young are touched with it. */
  setRecord(record: AnimalRecord): void {
    const facts = this.animals.get(record.id);
    if (!facts) return;
    const kin = this.touchedBy(facts, true);
    this.replaceRecord(facts, record);
    for (const id of this.touchedBy(facts, true)) kin.add(id);
    this.stamps.touch(kin);
    // Another sex may end what a male stays for.
    for (const kind of ['arrival', 'stay'] as const) this.kindStamps.get(kind)?.touchAll();
  }

  /** Adds an entry's fact. */
  apply(entry: AnimalEntry): Undo {
    return this.changing(entry, () => this.applied(entry));
  }

  /** Takes a struck entry's fact out. */
  strike(entry: AnimalEntry): Undo {
    return this.changing(entry, () => this.struck(entry));
  }

  /**
   * Adds the facts of a book that is being read, where nobody has asked for a figure yet.
   * @param fill told what an entry is applied by
   */
  async filled(fill: (apply: Fill) => Promise<void>): Promise<void> {
    await fill((entry, record) => {
      this.applied(entry);
      const facts = this.animals.get(entry.animalId);
      if (facts && record) this.replaceRecord(facts, record);
    });
    this.changedAll();
  }

  private replaceRecord(facts: AnimalFacts, record: AnimalRecord): void {
    this.unlinkParents(facts.record);
    facts.record = record;
    this.linkParents(record);
    this.litters.noteFosterings(record.id);
  }

  /** Makes a change, marks whom it touches before and after, and takes the marks back with it. */
  private changing(entry: AnimalEntry, change: () => Undo): Undo {
    const isStay = STAY_ENTRIES.includes(entry.type);
    const isKin = KIN_ENTRIES.includes(entry.type);
    const facts = this.animals.get(entry.animalId);
    const kin = facts ? this.touchedBy(facts, isStay) : new Set<string>();
    const undo = change();
    const after = isStay || isKin ? this.animals.get(entry.animalId) : undefined;
    if (after) for (const id of this.touchedBy(after, isStay)) kin.add(id);
    const untouch = this.stamps.touch(kin);
    const unmark = this.kindStamps.get(entry.type)?.touch([]);
    return () => {
      undo();
      untouch();
      unmark?.();
    };
  }

  /** Whose figures may hang on an animal: its kin, and, of a male's stays, all that were ever in those groups. */
  private touchedBy(facts: AnimalFacts, isStay: boolean): Set<string> {
    const kin = this.litters.kinOf(facts);
    if (isStay)
      for (const { groupId } of facts.stays) for (const id of this.groupMembers.get(groupId) ?? []) kin.add(id);
    return kin;
  }

  private applied(entry: AnimalEntry): Undo {
    if (entry.type === 'arrival') return this.applyArrival(entry);
    const facts = this.animals.get(entry.animalId);
    if (!facts) throw new Error(`entry ${entry.id} speaks of an animal that is not in the book`);
    const base = { entryId: entry.id, on: dayOf(entry.on) };
    switch (entry.type) {
      case 'identifier': {
        const { kind, text, colour, ear } = entry;
        this.addWearer(text, entry.animalId);
        return insert(facts.identifiers, { kind, text, colour, ear, shape: entry.shape, ...base });
      }
      case 'identifier-end':
        return insert(facts.identifierEnds, { identifierId: entry.identifierId, how: entry.how, ...base });
      case 'move':
        this.addMember(entry.groupId, entry.animalId);
        return insert(facts.moves, { groupId: entry.groupId, ...base });
      case 'weight':
        return noted(
          () => this.biases.noteWeight(facts),
          insert(facts.weights, { kg: entry.kg, method: entry.method, by: entry.writtenBy, ...base }),
        );
      case 'mark': {
        const { colour, place, purpose, until } = entry;
        return insert(facts.marks, { colour, place, purpose, until: until ? parseDay(until) : undefined, ...base });
      }
      case 'choice':
        return insert(facts.choices, { decision: entry.decision, ...base });
      case 'departure':
        return insert(facts.departures, { how: entry.how, cause: entry.cause, ...base });
      case 'passage':
        return insert(facts.passages, { jobId: entry.jobId, gate: entry.gate, ...base });
      case 'treatment': {
        const { productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel = false } = entry;
        const fact = { productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel, ...base };
        return insert(facts.treatments, fact);
      }
      case 'look':
        return insert(facts.looks, { grades: entry.grades, ...base });
      case 'sample':
        return this.applySample(entry, facts.samples, base);
      case 'care':
        return insert(facts.cares, { kind: entry.kind, method: entry.method, ...base });
      case 'litter-weight':
        return insert(facts.litterWeights, { totalKg: entry.totalKg, count: entry.count, ...base });
      case 'score':
        return noted(
          () => this.biases.noteScore(facts),
          insert(facts.scores, { score: entry.score, by: entry.scoredBy, ...base }),
        );
      case 'mob':
        return insert(facts.mobs, { mob: entry.mob, ...base });
      case 'check':
        return insert(facts.checks, { what: entry.what, isFound: entry.isFound, ...base });
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
        const undo = insert(list, fact);
        return entry.type === 'fostering' ? noted(() => this.litters.noteFosterings(entry.animalId), undo) : undo;
      }
      case 'note':
        return () => undefined;
    }
  }

  private struck(entry: AnimalEntry): Undo {
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
      return noted(
        () => {
          if (entry.type === 'weight') this.biases.noteWeight(facts);
          if (entry.type === 'score') this.biases.noteScore(facts);
          if (entry.type === 'fostering') this.litters.noteFosterings(entry.animalId);
        },
        () => {
          if (taken) list.splice(at, 0, taken);
        },
      );
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
    const fact = { animalId: entry.animalId, tube: entry.tube, purpose: entry.purpose, jobId: entry.jobId, ...base };
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

  private addMember(groupId: string, animalId: string): void {
    const set = this.groupMembers.get(groupId);
    if (set) set.add(animalId);
    else this.groupMembers.set(groupId, new Set([animalId]));
  }

  private addWearer(text: string, animalId: string): void {
    const plain = normalised(text);
    const set = this.wearers.get(plain);
    if (set) set.add(animalId);
    else this.wearers.set(plain, new Set([animalId]));
  }

  private linkParents({ id, damId, donorId, sireId }: AnimalRecord): void {
    for (const parent of [damId, donorId, sireId]) {
      if (parent === undefined) continue;
      const set = this.youngByParent.get(parent);
      if (set) set.add(id);
      else this.youngByParent.set(parent, new Set([id]));
    }
  }

  private unlinkParents({ id, damId, donorId, sireId }: AnimalRecord): void {
    for (const parent of [damId, donorId, sireId]) if (parent !== undefined) this.youngByParent.get(parent)?.delete(id);
  }
}

function insert<T extends { readonly entryId: string; readonly on: Day }>(list: T[], fact: T): Undo {
  insertByDayInPlace(list, fact);
  return () => {
    list.splice(list.indexOf(fact), 1);
  };
}

/** Tells of a change when it was made, and when it is taken back. */
function noted(note: () => void, undo: Undo): Undo {
  note();
  return () => {
    undo();
    note();
  };
}
