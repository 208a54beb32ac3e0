import type { Day, Moment } from '../calendar';
import type { Afterbirth, BirthWritten, ColostrumWay, DeathCause, PenStage } from '../births';
import type { Decision } from '../choosing';
import type { CheckMade, MobFrom, ScoreReading } from '../condition';
import type { Reading } from '../growth';
import type { CareKind, LookGrade } from '../handling';
import type { Ear, IdentifierKind, TagColour, TagShape } from '../identity';
import type { HeatLook, MalePart, PartGrade, Service } from '../mating';
import type { Pedigreed } from '../pedigree';
import type { GeneResult } from '../pedigree';
import type { EvidenceWay, LossWay, ScanFinding, TestResult, WayOn } from '../pregnancy';
import type { DoseUnit, Route, Withheld } from '../remedies';
import type { Sex, Species } from '../species';

/** An animal's record: what it is, not what happened to it. */
export interface AnimalRecord extends Pedigreed {
  readonly species: Species;
  readonly sex: Sex;
  /** Whose embryo it was, where another carried it: `damId` is who gave birth to it. */
  readonly donorId: string | undefined;
  /** Born as one of so many. */
  readonly birthType: number | undefined;
  /** Reared as one of so many. */
  readonly rearingType: number | undefined;
  readonly strain: string | undefined;
  readonly version: number;
}

export interface Fact {
  readonly entryId: string;
  readonly on: Day;
}

export interface IdentifierFact extends Fact {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour | undefined;
  readonly ear: Ear | undefined;
  readonly shape: TagShape | undefined;
}
export interface IdentifierEnd extends Fact {
  /** The entry that fitted it. */
  readonly identifierId: string;
  readonly how: 'lost' | 'removed';
}
export interface MoveFact extends Fact {
  readonly groupId: string;
}
export interface WeightFact extends Fact, Reading {
  /** Who held the tape or gave the guess; a scale reads the same for all. */
  readonly by: string;
}
export interface MarkFact extends Fact {
  readonly colour: string;
  readonly place: string;
  readonly purpose: string;
  readonly until: Day | undefined;
}
export interface ChoiceFact extends Fact {
  readonly decision: Decision;
}
export interface DepartureFact extends Fact {
  readonly how: 'died' | 'sold' | 'slaughtered' | 'lost';
  /** Of one that died, as far as anybody could tell. */
  readonly cause?: DeathCause | undefined;
}
export interface PassageFact extends Fact {
  readonly jobId: string | undefined;
  readonly gate: string | undefined;
}

/** A remedy given. */
export interface TreatmentFact extends Fact, Withheld {
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly route: Route;
  readonly batch: string | undefined;
  readonly isOffLabel: boolean;
}
/** What was found looking it over, by the standard's id. */
export interface LookFact extends Fact {
  readonly grades: Readonly<Record<string, LookGrade>>;
}
export interface SampleFact extends Fact {
  readonly animalId: string;
  readonly tube: string;
  readonly purpose: string;
  readonly jobId: string | undefined;
}
export interface CareFact extends Fact {
  readonly kind: CareKind;
  readonly method: string | undefined;
}
/** A litter on the scale together, written down with its dam. */
export interface LitterWeightFact extends Fact {
  readonly totalKg: number;
  readonly count: number;
}

/** A condition score given by hand. */
export interface ScoreFact extends Fact, ScoreReading {}
/** Put into a feed mob. */
export interface MobFact extends Fact, MobFrom {}
/** Looked at for what keeps it thin, for how much milk it gives, or for its womb after a birth. */
export interface CheckFact extends Fact, Omit<CheckMade, 'what'> {
  readonly what: CheckMade['what'] | 'milk' | 'womb';
}
/** Looked at for heat. */
export interface HeatFact extends Fact, HeatLook {}
/** Served; without a male of the holding, by straw or by one from elsewhere. */
export interface ServiceFact extends Fact, Service {
  readonly straw: string | undefined;
  /** A male that is not in the book, in words: "the neighbour's ram". */
  readonly otherMale: string | undefined;
  /** Colour of the mark read, where a male with a harness ran. */
  readonly colour: string | undefined;
  /** Offered again to see whether she refuses, as rabbits are. */
  readonly isCheck: boolean;
}
/** A male put with a group of females. */
export interface StayFact extends Fact {
  readonly groupId: string;
  readonly colour: string | undefined;
  readonly isTeaser: boolean;
}
export interface StayEnd extends Fact {
  /** The entry that put him in. */
  readonly stayId: string;
}
/** Another colour on his harness. */
export interface HarnessFact extends Fact {
  readonly stayId: string;
  readonly colour: string;
}
/** A male looked at before the season. */
export interface MaleCheckFact extends Fact {
  readonly grades: Readonly<Partial<Record<MalePart, PartGrade>>>;
  /** Around the testicles. */
  readonly girthCm: number | undefined;
}
export interface GeneTestFact extends Fact {
  readonly gene: string;
  readonly result: GeneResult;
  readonly sampleId: string | undefined;
}

/** Tested for young, by a machine, a tube or a hand. */
export interface PregnancyTestFact extends Fact {
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young: number | undefined;
  readonly ageDays: number | undefined;
  readonly findings: readonly ScanFinding[];
  readonly testedBy: string | undefined;
  readonly learner: { readonly name: string; readonly ageDays: number } | undefined;
  /** The tube it was read from. */
  readonly sampleId: string | undefined;
}
export interface LossFact extends Fact {
  readonly how: LossWay;
}
/** What was decided of one that is empty or doubtful. */
export interface WayOnFact extends Fact {
  readonly decision: WayOn;
  readonly reason: string | undefined;
}
export interface CarryingStepFact extends Fact {
  readonly step: string;
}

/** She gave birth. */
export interface BirthFact extends Fact, BirthWritten {
  readonly at: Moment | undefined;
  /** Why it was believed, where something spoke against it. */
  readonly reason: string | undefined;
}
export interface AfterbirthFact extends Fact {
  readonly state: Afterbirth;
}
/** Had its first milk. */
export interface ColostrumFact extends Fact {
  readonly at: Moment;
  readonly how: ColostrumWay;
}
/** Put under a dam that is not its own or back again; without a dam it is reared by hand. */
export interface FosteringFact extends Fact {
  readonly damId: string | undefined;
}
/** Weaned, or the first step of it. */
export interface WeaningFact extends Fact {
  readonly isDone: boolean;
}
/** What a dam and her litter ate from one day to another. */
export interface FeedFact extends Fact {
  readonly since: Day;
  readonly feed: string;
  readonly kg: number;
  readonly priceMinor: number;
}
/** A dam moved on with her young. */
export interface PenStageFact extends Fact {
  readonly stage: PenStage;
}

/** All that is known of one animal, struck entries left out. Lists are in order of day, then of writing. */
export interface AnimalFacts {
  record: AnimalRecord;
  arrivedOn: Day | undefined;
  readonly identifiers: IdentifierFact[];
  readonly identifierEnds: IdentifierEnd[];
  readonly moves: MoveFact[];
  readonly weights: WeightFact[];
  readonly marks: MarkFact[];
  readonly choices: ChoiceFact[];
  readonly departures: DepartureFact[];
  readonly passages: PassageFact[];
  readonly treatments: TreatmentFact[];
  readonly looks: LookFact[];
  readonly samples: SampleFact[];
  readonly cares: CareFact[];
  readonly litterWeights: LitterWeightFact[];
  readonly scores: ScoreFact[];
  readonly mobs: MobFact[];
  readonly checks: CheckFact[];
  readonly heats: HeatFact[];
  readonly services: ServiceFact[];
  readonly stays: StayFact[];
  readonly stayEnds: StayEnd[];
  readonly harnesses: HarnessFact[];
  readonly maleChecks: MaleCheckFact[];
  readonly geneTests: GeneTestFact[];
  readonly pregnancyTests: PregnancyTestFact[];
  readonly losses: LossFact[];
  readonly waysOn: WayOnFact[];
  readonly carryingSteps: CarryingStepFact[];
  readonly births: BirthFact[];
  readonly afterbirths: AfterbirthFact[];
  readonly colostrums: ColostrumFact[];
  readonly fosterings: FosteringFact[];
  readonly weanings: WeaningFact[];
  readonly penStages: PenStageFact[];
  readonly feeds: FeedFact[];
}

/** The lists of an animal's facts, for whoever has to go through all of them. */
export const factLists = (facts: AnimalFacts): Fact[][] => [
  facts.identifiers,
  facts.identifierEnds,
  facts.moves,
  facts.weights,
  facts.marks,
  facts.choices,
  facts.departures,
  facts.passages,
  facts.treatments,
  facts.looks,
  facts.samples,
  facts.cares,
  facts.litterWeights,
  facts.scores,
  facts.mobs,
  facts.checks,
  facts.heats,
  facts.services,
  facts.stays,
  facts.stayEnds,
  facts.harnesses,
  facts.maleChecks,
  facts.geneTests,
  facts.pregnancyTests,
  facts.losses,
  facts.waysOn,
  facts.carryingSteps,
  facts.births,
  facts.afterbirths,
  facts.colostrums,
  facts.fosterings,
  facts.weanings,
  facts.penStages,
  facts.feeds,
];

export const emptyFacts = (record: AnimalRecord): AnimalFacts => ({
  record,
  arrivedOn: undefined,
  identifiers: [],
  identifierEnds: [],
  moves: [],
  weights: [],
  marks: [],
  choices: [],
  departures: [],
  passages: [],
  treatments: [],
  looks: [],
  samples: [],
  cares: [],
  litterWeights: [],
  scores: [],
  mobs: [],
  checks: [],
  heats: [],
  services: [],
  stays: [],
  stayEnds: [],
  harnesses: [],
  maleChecks: [],
  geneTests: [],
  pregnancyTests: [],
  losses: [],
  waysOn: [],
  carryingSteps: [],
  births: [],
  afterbirths: [],
  colostrums: [],
  fosterings: [],
  weanings: [],
  penStages: [],
  feeds: [],
});

/** Puts a fact in its place in a list ordered by day; of one day, the later written stands later. */
export function insertByDayInPlace<T extends { readonly on: Day }>(list: T[], fact: T): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as T).on > fact.on) at--;
  if (at === list.length) list.push(fact);
  else list.splice(at, 0, fact);
}

/** Takes the fact of a struck entry out again. */
export function removeFactInPlace(list: { readonly entryId: string }[], entryId: string): void {
  const at = list.findIndex((f) => f.entryId === entryId);
  if (at >= 0) list.splice(at, 1);
}
