import {
  CARE_KINDS,
  CONDITION_CHECKS,
  DEATH_CAUSES,
  DECISIONS,
  DOSE_UNITS,
  EARS,
  IDENTIFIER_KINDS,
  MOBS,
  ROUTES,
  SEXES,
  SPECIES,
  TAG_COLOURS,
  TAG_SHAPES,
  WEIGHING_METHODS,
} from '@yaylak/core';
import type {
  CareKind,
  CheckFact,
  DeathCause,
  Decision,
  DoseUnit,
  Ear,
  IdentifierKind,
  LookGrade,
  Mob,
  Refusal,
  Route,
  Sex,
  Species,
  TagColour,
  TagShape,
  WeighingMethod,
  ReadingDoubt,
} from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, IsUUID, Length, Max, MaxLength, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import {
  ARRIVAL_WAYS,
  DEPARTURE_WAYS,
  IDENTIFIER_ENDS,
  MARK_COLOURS,
  MARK_PLACES,
  SAMPLE_PURPOSES,
  type SamplePurpose,
} from './kinds';
import {
  AfterbirthEntry,
  BirthEntry,
  ColostrumEntry,
  FeedEntry,
  FosteringEntry,
  PenStageEntry,
  WeaningEntry,
} from './birthEntries';
import { AnimalEntryBase, EntryBase } from './entryBase';
import {
  GeneTestEntry,
  HarnessEntry,
  HeatEntry,
  MaleCheckEntry,
  ServiceEntry,
  StayEndEntry,
  StayEntry,
} from './matingEntries';
import { CarryingStepEntry, LossEntry, PregnancyTestEntry, WayOnEntry } from './pregnancyEntries';
import { IsCalendarDate, IsLookGrades, MAX_NOTE, MAX_TEXT } from './rules';

/** An animal comes into the book: born here, bought, or found standing in the race. */
export class ArrivalEntry extends AnimalEntryBase {
  @IsIn(['arrival'])
  type: 'arrival';
  @IsIn(ARRIVAL_WAYS)
  how: (typeof ARRIVAL_WAYS)[number];
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  @MayBeMissing()
  @IsCalendarDate()
  bornOn?: string;
  @MayBeMissing()
  @IsUUID()
  damId?: string;
  /** Whose embryo it was, where `damId` only carried it. */
  @MayBeMissing()
  @IsUUID()
  donorId?: string;
  @MayBeMissing()
  @IsUUID()
  sireId?: string;
  /** Born as one of so many. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(20)
  birthType?: number;
  /** Reared as one of so many. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(20)
  rearingType?: number;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  strain?: string;
}

export class WeightEntry extends AnimalEntryBase {
  @IsIn(['weight'])
  type: 'weight';
  /** Kilograms. Limits by species are the book's rule, so that the refusal can name the animal. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  kg: number;
  @IsIn(WEIGHING_METHODS)
  method: WeighingMethod;
  /** What the pan or basket weighed; `kg` is without it. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
}

/** A litter on the scale together, written down with its dam. */
export class LitterWeightEntry extends AnimalEntryBase {
  @IsIn(['litter-weight'])
  type: 'litter-weight';
  /** Without the pan. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  totalKg: number;
  @IsInt()
  @Min(1)
  @Max(30)
  count: number;
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
}

/** A remedy given. The withdrawal is written down with it: a label changed later changes no past. */
export class TreatmentEntry extends AnimalEntryBase {
  @IsIn(['treatment'])
  type: 'treatment';
  @IsUUID()
  productId: string;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Max(10_000)
  amount: number;
  @IsIn(DOSE_UNITS)
  unit: DoseUnit;
  @IsIn(ROUTES)
  route: Route;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  batch?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
  /** Whose prescription it was on. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  prescribedBy?: string;
  /** The weight the dose was worked from. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(3000)
  doseKg?: number;
  @MayBeMissing()
  @IsIn(WEIGHING_METHODS)
  doseMethod?: WeighingMethod;
  /** By the label, or by the vet where it was used off the label. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  meatDays?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  milkDays?: number;
  /** Another species, route or amount than the label says. */
  @MayBeMissing()
  @IsBoolean()
  isOffLabel?: boolean;
}

/** What was found looking it over: by the standard's id pass, fail or 0 to 5. */
export class LookEntry extends AnimalEntryBase {
  @IsIn(['look'])
  type: 'look';
  @IsLookGrades()
  grades: Record<string, LookGrade>;
}

/** A tube, swab or pot taken of it. */
export class SampleEntry extends AnimalEntryBase {
  @IsIn(['sample'])
  type: 'sample';
  @IsString()
  @Length(1, 40)
  tube: string;
  @IsIn(SAMPLE_PURPOSES)
  purpose: SamplePurpose;
  /** Why blood was taken before the test can tell. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** A condition score felt by hand. */
export class ScoreEntry extends AnimalEntryBase {
  @IsIn(['score'])
  type: 'score';
  /** 1 to 5 by halves or quarters; the book's rule, so that the refusal can say so. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  score: number;
  /** Whose hand felt it; whoever writes may be another. */
  @IsString()
  @Length(1, MAX_TEXT)
  scoredBy: string;
}

/** Put into a feed mob, with what the score suggested. */
export class MobEntry extends AnimalEntryBase {
  @IsIn(['mob'])
  type: 'mob';
  @IsIn(MOBS)
  mob: Mob;
  @MayBeMissing()
  @IsIn(MOBS)
  suggested?: Mob;
}

/**
 * Looked at for what keeps it thin; `milk` found is a heavy milker, `womb` found keeps her
 * from mating until it is looked at again and clear.
 */
export class CheckEntry extends AnimalEntryBase {
  @IsIn(['check'])
  type: 'check';
  @IsIn([...CONDITION_CHECKS, 'milk', 'womb'])
  what: CheckFact['what'];
  @IsBoolean()
  isFound: boolean;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  words?: string;
}

/** Feet, fleece, navel, tail: a work done on it by hand. */
export class CareEntry extends AnimalEntryBase {
  @IsIn(['care'])
  type: 'care';
  @IsIn(CARE_KINDS)
  kind: CareKind;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  method?: string;
}

export class IdentifierEntry extends AnimalEntryBase {
  @IsIn(['identifier'])
  type: 'identifier';
  @IsIn(IDENTIFIER_KINDS)
  kind: IdentifierKind;
  @IsString()
  @Length(1, 40)
  text: string;
  @MayBeMissing()
  @IsIn(TAG_COLOURS)
  colour?: TagColour;
  @MayBeMissing()
  @IsIn(EARS)
  ear?: Ear;
  @MayBeMissing()
  @IsIn(TAG_SHAPES)
  shape?: TagShape;
}

export class IdentifierEndEntry extends AnimalEntryBase {
  @IsIn(['identifier-end'])
  type: 'identifier-end';
  /** The entry that fitted it. */
  @IsUUID()
  identifierId: string;
  @IsIn(IDENTIFIER_ENDS)
  how: (typeof IDENTIFIER_ENDS)[number];
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}

export class MoveEntry extends AnimalEntryBase {
  @IsIn(['move'])
  type: 'move';
  @IsUUID()
  groupId: string;
}

/** A spray mark people can see across a field. */
export class MarkEntry extends AnimalEntryBase {
  @IsIn(['mark'])
  type: 'mark';
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
  @IsIn(MARK_PLACES)
  place: (typeof MARK_PLACES)[number];
  @IsString()
  @Length(1, MAX_TEXT)
  purpose: string;
  @MayBeMissing()
  @IsCalendarDate()
  until?: string;
}

/** Through the race: seen, and by which gate it left. */
export class PassageEntry extends AnimalEntryBase {
  @IsIn(['passage'])
  type: 'passage';
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  gate?: string;
  /** The gate the job's rule suggested, where there was one. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  suggested?: string;
}

/** Keep, second string or sell, as a person decided, with what was suggested. */
export class ChoiceEntry extends AnimalEntryBase {
  @IsIn(['choice'])
  type: 'choice';
  @IsIn(DECISIONS)
  decision: Decision;
  @MayBeMissing()
  @IsIn(DECISIONS)
  suggested?: Decision;
  @IsString()
  @Length(1, MAX_TEXT)
  among: string;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(100_000)
  place?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(100_000)
  of?: number;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_NOTE)
  reason?: string;
}

export class DepartureEntry extends AnimalEntryBase {
  @IsIn(['departure'])
  type: 'departure';
  @IsIn(DEPARTURE_WAYS)
  how: (typeof DEPARTURE_WAYS)[number];
  /** What it died of, as far as anybody can tell. */
  @MayBeMissing()
  @IsIn(DEATH_CAUSES)
  cause?: DeathCause;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}

export class NoteEntry extends AnimalEntryBase {
  @IsIn(['note'])
  type: 'note';
  @IsString()
  @Length(1, MAX_NOTE)
  text: string;
}

/** Strikes an entry out; it stays in the book, greyed, with who and when. */
export class StrikeEntry extends EntryBase {
  @IsIn(['strike'])
  type: 'strike';
  @IsUUID()
  entryId: string;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}

export type AnimalEntry =
  | ArrivalEntry
  | WeightEntry
  | IdentifierEntry
  | IdentifierEndEntry
  | MoveEntry
  | MarkEntry
  | PassageEntry
  | ChoiceEntry
  | DepartureEntry
  | NoteEntry
  | LitterWeightEntry
  | TreatmentEntry
  | LookEntry
  | SampleEntry
  | CareEntry
  | ScoreEntry
  | MobEntry
  | CheckEntry
  | HeatEntry
  | ServiceEntry
  | StayEntry
  | StayEndEntry
  | HarnessEntry
  | MaleCheckEntry
  | GeneTestEntry
  | PregnancyTestEntry
  | LossEntry
  | WayOnEntry
  | CarryingStepEntry
  | BirthEntry
  | AfterbirthEntry
  | ColostrumEntry
  | FosteringEntry
  | WeaningEntry
  | PenStageEntry
  | FeedEntry;
export type Entry = AnimalEntry | StrikeEntry;
export type EntryType = Entry['type'];

export const ENTRY_CLASSES = {
  arrival: ArrivalEntry,
  identifier: IdentifierEntry,
  'identifier-end': IdentifierEndEntry,
  move: MoveEntry,
  weight: WeightEntry,
  mark: MarkEntry,
  passage: PassageEntry,
  choice: ChoiceEntry,
  departure: DepartureEntry,
  note: NoteEntry,
  'litter-weight': LitterWeightEntry,
  treatment: TreatmentEntry,
  look: LookEntry,
  sample: SampleEntry,
  care: CareEntry,
  score: ScoreEntry,
  mob: MobEntry,
  check: CheckEntry,
  heat: HeatEntry,
  service: ServiceEntry,
  stay: StayEntry,
  'stay-end': StayEndEntry,
  harness: HarnessEntry,
  'male-check': MaleCheckEntry,
  'gene-test': GeneTestEntry,
  'pregnancy-test': PregnancyTestEntry,
  loss: LossEntry,
  'way-on': WayOnEntry,
  'carrying-step': CarryingStepEntry,
  birth: BirthEntry,
  afterbirth: AfterbirthEntry,
  colostrum: ColostrumEntry,
  fostering: FosteringEntry,
  weaning: WeaningEntry,
  'pen-stage': PenStageEntry,
  feed: FeedEntry,
  strike: StrikeEntry,
} as const satisfies Record<EntryType, new () => Entry>;
export const ENTRY_TYPES = Object.keys(ENTRY_CLASSES) as EntryType[];

/** A field that does not fit, in words. */
export interface FieldFault {
  readonly field: string;
  readonly message: string;
}

/** What is done with a batch: keep the good ones, keep all or none, or only say what would happen. */
export const POST_MODES = ['keep', 'whole', 'check'] as const;
export type PostMode = (typeof POST_MODES)[number];
export class PostEntriesQuery {
  @MayBeMissing()
  @IsIn(POST_MODES)
  mode?: PostMode;
}

export type EntryAnswer =
  | { readonly id: string; readonly status: 'kept'; readonly doubt?: ReadingDoubt }
  /** `isStruck`: it was struck out since, and sending it again does not bring it back. */
  | { readonly id: string; readonly status: 'already-kept'; readonly isStruck?: true }
  /** Good by itself, and not kept: another of its `whole` batch was refused. */
  | { readonly id: string; readonly status: 'left-out' }
  | {
      readonly id: string;
      readonly status: 'refused';
      readonly message: string;
      readonly refusal?: Refusal;
      readonly faults?: readonly FieldFault[];
    };

export interface EntriesAnswered {
  readonly answers: readonly EntryAnswer[];
}
