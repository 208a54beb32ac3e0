import type { KindName } from '@yaylak/core';
import type { EntryBase } from '../entryBase';
import { AfterbirthEntry } from './afterbirth';
import { ArrivalEntry } from './arrival';
import { BirthEntry } from './birth';
import { CarcassEntry } from './carcass';
import { CareEntry } from './care';
import { CarryingStepEntry } from './carryingStep';
import { CheckEntry } from './check';
import { ChoiceEntry } from './choice';
import { ColostrumEntry } from './colostrum';
import { DepartureEntry } from './departure';
import { FeedEntry } from './feed';
import { FinishEntry } from './finish';
import { FosteringEntry } from './fostering';
import { GeneTestEntry } from './geneTest';
import { HarnessEntry } from './harness';
import { HeatEntry } from './heat';
import { IdentifierEntry } from './identifier';
import { IdentifierEndEntry } from './identifierEnd';
import { LitterWeightEntry } from './litterWeight';
import { LookEntry } from './look';
import { LossEntry } from './loss';
import { MaleCheckEntry } from './maleCheck';
import { MarkEntry } from './mark';
import { MobEntry } from './mob';
import { MeasureEntry } from './measure';
import { MoveEntry } from './move';
import { NoteEntry } from './note';
import { PhotoEntry } from './photo';
import { PassageEntry } from './passage';
import { PenStageEntry } from './penStage';
import { PregnancyTestEntry } from './pregnancyTest';
import { SampleEntry } from './sample';
import { ScoreEntry } from './score';
import { ServiceEntry } from './service';
import { StayEntry } from './stay';
import { ReleaseEntry } from './release';
import { ReservationEntry } from './reservation';
import { StayEndEntry } from './stayEnd';
import { StrikeEntry } from './strike';
import { TreatmentEntry } from './treatment';
import { WayOnEntry } from './wayOn';
import { WeaningEntry } from './weaning';
import { WeightEntry } from './weight';

/** The classes of entries, by the name each kind has on the wire; what is read from here must fit core's kinds. */
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
  photo: PhotoEntry,
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
  reservation: ReservationEntry,
  release: ReleaseEntry,
  'stay-end': StayEndEntry,
  harness: HarnessEntry,
  measure: MeasureEntry,
  finish: FinishEntry,
  carcass: CarcassEntry,
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
} as const satisfies Readonly<Record<KindName | 'strike', new () => EntryBase>>;
export type EntryType = keyof typeof ENTRY_CLASSES;
export type Entry = InstanceType<(typeof ENTRY_CLASSES)[EntryType]>;
export type AnimalEntry = Exclude<Entry, { readonly type: 'strike' }>;
export const ENTRY_TYPES = Object.keys(ENTRY_CLASSES) as EntryType[];

export * from './afterbirth';
export * from './arrival';
export * from './birth';
export * from './carcass';
export * from './care';
export * from './carryingStep';
export * from './check';
export * from './choice';
export * from './colostrum';
export * from './departure';
export * from './feed';
export * from './fostering';
export * from './geneTest';
export * from './harness';
export * from './heat';
export * from './identifier';
export * from './identifierEnd';
export * from './litterWeight';
export * from './look';
export * from './loss';
export * from './maleCheck';
export * from './mark';
export * from './mob';
export * from './move';
export * from './note';
export * from './photo';
export * from './passage';
export * from './penStage';
export * from './pregnancyTest';
export * from './sample';
export * from './score';
export * from './service';
export * from './stay';
export * from './release';
export * from './reservation';
export * from './stayEnd';
export * from './strike';
export * from './treatment';
export * from './wayOn';
export * from './weaning';
export * from './weight';
