import {
  biasKey,
  bySpecies,
  dailyScores,
  dailyWeights,
  dayOf,
  emptyFacts,
  exposuresOf,
  factsUntil,
  femaleHistory,
  groupOn,
  holdsBack,
  insertByDayInPlace,
  isGuess,
  isPresent,
  kindOf,
  kindsTouching,
  maleHeldBack,
  momentAt,
  normalised,
  readyToMate,
  recordOf,
  testedFemale,
  wasNearMale,
  withOverrides,
  type AnimalFacts,
  type AnimalRecord,
  type AnyKind,
  type ChangeBook,
  type Day,
  type Exposure,
  type Fact,
  type FemaleReason,
  type IdentifierFact,
  type Moment,
  type MoveFact,
  type Reading,
  type SampleFact,
  type ScaleBias,
  type ScoreOnDay,
  type ScorerPair,
  type Species,
  type SpeciesOverrides,
  type SpeciesSettings,
  type TestedFemale,
  type Touch,
  type WeightUnit,
  withSexToday,
} from '@yaylak/core';
import {
  labelOf,
  ENTRY_TYPES,
  type AnimalEntry,
  type ArrivalEntry,
  type EntryType,
  type PlanFacts,
  type ProductFacts,
  type ScorersSetting,
  type Station,
} from '@yaylak/contract';
import { Biases } from './biases';
import { Derived, Whole } from './derived';
import { Family } from './family';
import { Litters } from './litters';
import { Stamps, type Undo } from './stamps';

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

/** Settings that figures hang on. */
export interface FigureSettings {
  readonly species: SpeciesOverrides;
  readonly unit: WeightUnit;
  readonly scorers: ScorersSetting;
}

/** As a book begins. */
const NO_SETTINGS: FigureSettings = { species: {}, unit: 'kg', scorers: { setRight: [] } };

const NOON = 12 * 60;

/** Entries after which a male may run with others than before. */
const STAY_ENTRIES = kindsTouching('company');
/** Entries after which an animal has other kin than before. */
const KIN_ENTRIES = kindsTouching('kin');

/** Told of a fact that was added to its list, or taken out. */
interface Keeper {
  readonly added?: (fact: Fact, facts: AnimalFacts) => void;
  readonly taken?: (fact: Fact, facts: AnimalFacts) => void;
}
const both = (told: NonNullable<Keeper['added']>): Keeper => ({ added: told, taken: told });

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
  private settingsText = JSON.stringify(NO_SETTINGS);
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

  /** What is kept up with the facts beside the animals' lists, by what an entry touches. */
  private readonly keepers: Readonly<Record<Touch, Keeper>> = {
    // By stamps: see `changing`.
    company: {},
    kin: {},
    // Whoever once wore a number is found by it for good; whoever was once in a group is looked at when it is asked for.
    numbers: { added: (fact, { record }) => addTo(this.wearers, normalised((fact as IdentifierFact).text), record.id) },
    members: { added: (fact, { record }) => addTo(this.groupMembers, (fact as MoveFact).groupId, record.id) },
    tubes: {
      added: (fact) => this.addTube(fact as SampleFact),
      taken: (fact) => this.dropTube(fact as SampleFact),
    },
    tapes: both((_, facts) => this.biases.noteWeight(facts)),
    scorers: both((_, facts) => this.biases.noteScore(facts)),
    sex: both((_, facts) => {
      facts.record = withSexToday(facts.record, facts.cares);
    }),
    fosterings: both((_, { record }) => this.litters.noteFosterings(record.id)),
  };

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

  /** Takes the settings figures hang on. Saved again as they are, as where another setting changed, they change nothing. */
  setSettings(settings: FigureSettings): void {
    const text = JSON.stringify(settings);
    if (text === this.settingsText) return;
    this.settingsText = text;
    this.settingsTable = withOverrides(settings.species);
    this.weightUnit = settings.unit;
    this.biases.setScorers(settings.scorers);
    this.changedAll();
  }

  /** What the holding weighs in, for words. */
  get unit(): WeightUnit {
    return this.weightUnit;
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
    const { products } = this;
    return {
      today,
      now,
      animal: (id) => this.animals.get(id),
      hasGroup: (id) => this.groups.has(id),
      label(id) {
        const product = products.get(id);
        return product && labelOf(product.facts);
      },
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
    facts.record = withSexToday(record, facts.cares);
    this.linkParents(record);
    this.litters.noteFosterings(record.id);
  }

  /** Makes a change, marks whom it touches before and after, and takes the marks back with it. */
  private changing(entry: AnimalEntry, change: () => Undo): Undo {
    // Another sex changes what a male's stays are, and counts as another record.
    const isSex = entry.type === 'care' && entry.kind === 'castrate';
    const isStay = isSex || STAY_ENTRIES.includes(entry.type);
    const isKin = KIN_ENTRIES.includes(entry.type);
    const facts = this.animals.get(entry.animalId);
    const kin = facts ? this.touchedBy(facts, isStay) : new Set<string>();
    const undo = change();
    const after = isStay || isKin ? this.animals.get(entry.animalId) : undefined;
    if (after) for (const id of this.touchedBy(after, isStay)) kin.add(id);
    const untouch = this.stamps.touch(kin);
    const kinds: readonly EntryType[] = isSex ? [entry.type, 'arrival', 'stay'] : [entry.type];
    const unmark = kinds.map((kind) => this.kindStamps.get(kind)?.touch([]));
    return () => {
      undo();
      untouch();
      for (const back of unmark) back?.();
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
    const kind = kindOf(entry.type);
    if (kind.list === null) return () => undefined;
    const list: Fact[] = facts[kind.list];
    const fact = kind.fact(entry, { entryId: entry.id, on: dayOf(entry.on) });
    insertByDayInPlace(list, fact);
    this.tell(kind, 'added', fact, facts);
    return () => {
      list.splice(list.indexOf(fact), 1);
      this.tell(kind, 'taken', fact, facts);
    };
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
    const kind = kindOf(entry.type);
    const list: Fact[] = kind.list === null ? [] : facts[kind.list];
    const at = list.findIndex((f) => f.entryId === entry.id);
    const [taken] = at < 0 ? [] : list.splice(at, 1);
    if (!taken) return () => undefined;
    this.tell(kind, 'taken', taken, facts);
    return () => {
      list.splice(at, 0, taken);
      this.tell(kind, 'added', taken, facts);
    };
  }

  /** Tells whoever keeps up with what a kind of entry touches. */
  private tell({ touches }: AnyKind, what: 'added' | 'taken', fact: Fact, facts: AnimalFacts): void {
    for (const touch of touches ?? []) this.keepers[touch][what]?.(fact, facts);
  }

  private applyArrival(entry: ArrivalEntry): Undo {
    const record = recordOf(entry);
    const facts = emptyFacts(record);
    facts.arrivedOn = dayOf(entry.on);
    facts.arrivedBy = entry.how;
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

  private addTube(sample: SampleFact): void {
    const plain = normalised(sample.tube);
    this.tubes.set(plain, [...(this.tubes.get(plain) ?? []), sample]);
  }

  private dropTube({ tube, entryId }: SampleFact): void {
    const plain = normalised(tube);
    this.tubes.set(
      plain,
      (this.tubes.get(plain) ?? []).filter((s) => s.entryId !== entryId),
    );
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

function addTo(sets: Map<string, Set<string>>, key: string, id: string): void {
  const set = sets.get(key);
  if (set) set.add(id);
  else sets.set(key, new Set([id]));
}
