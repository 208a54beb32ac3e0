import { defineEntity, p, type EntitySchema } from '@mikro-orm/core';
import type { DeadYoung, EntryType } from '@yaylak/contract';
import type { FatPlace, HeatSign, LookGrade, MalePart, PartGrade, ScanFinding } from '@yaylak/core';
import { AnimalEntity } from './animal.entity';
import { GroupEntity } from './group.entity';
import { JobEntity } from './job.entity';
import { ProductEntity } from './product.entity';

/** What all entries share. Rows are added; only `struckBy` is ever set afterwards. */
export const EntryEntity = defineEntity({
  name: 'Entry',
  tableName: 'entry',
  properties: {
    id: p.uuid().primary(),
    /** Order in which the book kept them. */
    seq: p.integer().unique(),
    type: p.string(),
    animal: () => p.manyToOne(AnimalEntity).deleteRule('restrict').nullable().index(),
    happenedOn: p.string(),
    writtenAt: p.string(),
    writtenBy: p.string(),
    source: p.string(),
    job: () => p.manyToOne(JobEntity).deleteRule('restrict').nullable().index(),
    struckBy: () => p.manyToOne(EntryEntity).deleteRule('restrict').nullable().index(),
  },
});

const own = { entry: () => p.oneToOne(EntryEntity).deleteRule('restrict').primary().owner() };

export const ArrivalEntity = defineEntity({
  name: 'Arrival',
  tableName: 'arrival_entry',
  properties: { ...own, how: p.string() },
});
export const WeightEntity = defineEntity({
  name: 'Weight',
  tableName: 'weight_entry',
  properties: { ...own, kg: p.double(), method: p.string(), tareKg: p.double().nullable() },
});
export const IdentifierEntity = defineEntity({
  name: 'Identifier',
  tableName: 'identifier_entry',
  properties: {
    ...own,
    kind: p.string(),
    text: p.string(),
    colour: p.string().nullable(),
    ear: p.string().nullable(),
    shape: p.string().nullable(),
  },
});
export const IdentifierEndEntity = defineEntity({
  name: 'IdentifierEnd',
  tableName: 'identifier_end_entry',
  properties: {
    ...own,
    identifier: () => p.manyToOne(EntryEntity).deleteRule('restrict').index(),
    how: p.string(),
    reason: p.string().nullable(),
  },
});
export const MoveEntity = defineEntity({
  name: 'Move',
  tableName: 'move_entry',
  properties: { ...own, group: () => p.manyToOne(GroupEntity).deleteRule('restrict').index() },
});
export const MarkEntity = defineEntity({
  name: 'Mark',
  tableName: 'mark_entry',
  properties: { ...own, colour: p.string(), place: p.string(), purpose: p.string(), until: p.string().nullable() },
});
export const PassageEntity = defineEntity({
  name: 'Passage',
  tableName: 'passage_entry',
  properties: { ...own, gate: p.string().nullable(), suggested: p.string().nullable(), why: p.string().nullable() },
});
export const ChoiceEntity = defineEntity({
  name: 'Choice',
  tableName: 'choice_entry',
  properties: {
    ...own,
    decision: p.string(),
    suggested: p.string().nullable(),
    among: p.string(),
    place: p.integer().nullable(),
    of: p.integer().nullable(),
    reason: p.string().nullable(),
  },
});
export const DepartureEntity = defineEntity({
  name: 'Departure',
  tableName: 'departure_entry',
  properties: {
    ...own,
    how: p.string(),
    cause: p.string().nullable(),
    toldUntil: p.string().nullable(),
    /** Outlets are closed, never removed. */
    outletId: p.uuid().nullable(),
    buyer: p.string().nullable(),
    priceMinor: p.integer().nullable(),
    kg: p.double().nullable(),
    haulageMinor: p.integer().nullable(),
    reason: p.string().nullable(),
  },
});
export const NoteEntity = defineEntity({
  name: 'Note',
  tableName: 'note_entry',
  properties: { ...own, text: p.string() },
});
export const PhotoEntity = defineEntity({
  name: 'Photo',
  tableName: 'photo_entry',
  properties: { ...own, pictureId: p.uuid(), width: p.integer(), height: p.integer(), shows: p.string().nullable() },
});
export const LitterWeightEntity = defineEntity({
  name: 'LitterWeight',
  tableName: 'litter_weight_entry',
  properties: { ...own, totalKg: p.double(), count: p.integer(), tareKg: p.double().nullable() },
});
export const TreatmentEntity = defineEntity({
  name: 'Treatment',
  tableName: 'treatment_entry',
  properties: {
    ...own,
    product: () => p.manyToOne(ProductEntity).deleteRule('restrict').index(),
    amount: p.double(),
    unit: p.string(),
    route: p.string(),
    batch: p.string().nullable(),
    reason: p.string().nullable(),
    prescribedBy: p.string().nullable(),
    doseKg: p.double().nullable(),
    doseMethod: p.string().nullable(),
    meatDays: p.integer().nullable(),
    milkDays: p.integer().nullable(),
    isOffLabel: p.boolean().nullable(),
  },
});
export const LookEntity = defineEntity({
  name: 'Look',
  tableName: 'look_entry',
  properties: { ...own, grades: p.json<Record<string, LookGrade>>() },
});
export const SampleEntity = defineEntity({
  name: 'Sample',
  tableName: 'sample_entry',
  properties: { ...own, tube: p.string(), purpose: p.string(), reason: p.string().nullable() },
});
export const CareEntity = defineEntity({
  name: 'Care',
  tableName: 'care_entry',
  properties: { ...own, kind: p.string(), method: p.string().nullable() },
});
export const ScoreEntity = defineEntity({
  name: 'Score',
  tableName: 'score_entry',
  properties: { ...own, score: p.double(), scoredBy: p.string() },
});
export const MobEntity = defineEntity({
  name: 'Mob',
  tableName: 'mob_entry',
  properties: { ...own, mob: p.string(), suggested: p.string().nullable() },
});
export const CheckEntity = defineEntity({
  name: 'Check',
  tableName: 'check_entry',
  properties: { ...own, what: p.string(), isFound: p.boolean(), words: p.string().nullable() },
});
export const HeatEntity = defineEntity({
  name: 'Heat',
  tableName: 'heat_entry',
  properties: { ...own, at: p.string(), signs: p.json<HeatSign[]>() },
});
export const ServiceEntity = defineEntity({
  name: 'Service',
  tableName: 'service_entry',
  properties: {
    ...own,
    way: p.string(),
    at: p.string().nullable(),
    maleIds: p.json<string[]>(),
    straw: p.string().nullable(),
    otherMale: p.string().nullable(),
    batch: p.string().nullable(),
    technician: p.string().nullable(),
    colour: p.string().nullable(),
    isWitnessed: p.boolean().nullable(),
    isCheck: p.boolean().nullable(),
    reason: p.string().nullable(),
  },
});
export const StayEntity = defineEntity({
  name: 'Stay',
  tableName: 'stay_entry',
  properties: {
    ...own,
    group: () => p.manyToOne(GroupEntity).deleteRule('restrict').index(),
    colour: p.string().nullable(),
    isTeaser: p.boolean().nullable(),
    reason: p.string().nullable(),
  },
});
export const ReservationEntity = defineEntity({
  name: 'Reservation',
  tableName: 'reservation_entry',
  properties: {
    ...own,
    buyer: p.string(),
    until: p.string().nullable(),
    priceMinor: p.integer().nullable(),
    depositMinor: p.integer().nullable(),
  },
});
export const ReleaseEntity = defineEntity({
  name: 'Release',
  tableName: 'release_entry',
  properties: { ...own, reservation: () => p.manyToOne(EntryEntity).deleteRule('restrict').index() },
});
export const StayEndEntity = defineEntity({
  name: 'StayEnd',
  tableName: 'stay_end_entry',
  properties: { ...own, stay: () => p.manyToOne(EntryEntity).deleteRule('restrict').index() },
});
export const HarnessEntity = defineEntity({
  name: 'Harness',
  tableName: 'harness_entry',
  properties: { ...own, stay: () => p.manyToOne(EntryEntity).deleteRule('restrict').index(), colour: p.string() },
});
export const FinishEntity = defineEntity({
  name: 'Finish',
  tableName: 'finish_entry',
  properties: {
    ...own,
    shape: p.integer().nullable(),
    fat: p.json<Partial<Record<FatPlace, number>>>().nullable(),
  },
});
export const CarcassEntity = defineEntity({
  name: 'Carcass',
  tableName: 'carcass_entry',
  properties: {
    ...own,
    carcassKg: p.double(),
    shape: p.integer().nullable(),
    fat: p.integer().nullable(),
    priceMinor: p.integer().nullable(),
    deductedMinor: p.integer().nullable(),
    outletId: p.uuid().nullable(),
  },
});
export const MeasureEntity = defineEntity({
  name: 'Measure',
  tableName: 'measure_entry',
  properties: {
    ...own,
    heightCm: p.double().nullable(),
    lengthCm: p.double().nullable(),
    girthCm: p.double().nullable(),
  },
});
export const MaleCheckEntity = defineEntity({
  name: 'MaleCheck',
  tableName: 'male_check_entry',
  properties: { ...own, grades: p.json<Partial<Record<MalePart, PartGrade>>>(), girthCm: p.double().nullable() },
});
export const GeneTestEntity = defineEntity({
  name: 'GeneTest',
  tableName: 'gene_test_entry',
  properties: {
    ...own,
    gene: p.string(),
    result: p.string(),
    laboratory: p.string().nullable(),
    sample: () => p.manyToOne(EntryEntity).deleteRule('restrict').nullable().index(),
  },
});
export const PregnancyTestEntity = defineEntity({
  name: 'PregnancyTest',
  tableName: 'pregnancy_test_entry',
  properties: {
    ...own,
    way: p.string(),
    result: p.string(),
    young: p.integer().nullable(),
    ageDays: p.integer().nullable(),
    findings: p.json<ScanFinding[]>().nullable(),
    testedBy: p.string().nullable(),
    learner: p.string().nullable(),
    learnerAgeDays: p.integer().nullable(),
    sample: () => p.manyToOne(EntryEntity).deleteRule('restrict').nullable().index(),
    laboratory: p.string().nullable(),
    reason: p.string().nullable(),
  },
});
export const LossEntity = defineEntity({
  name: 'Loss',
  tableName: 'loss_entry',
  properties: { ...own, how: p.string(), words: p.string().nullable() },
});
export const WayOnEntity = defineEntity({
  name: 'WayOn',
  tableName: 'way_on_entry',
  properties: {
    ...own,
    decision: p.string(),
    suggested: p.string().nullable(),
    chance: p.double().nullable(),
    evidence: p.string().nullable(),
    reason: p.string().nullable(),
  },
});
export const CarryingStepEntity = defineEntity({
  name: 'CarryingStepDone',
  tableName: 'carrying_step_entry',
  properties: { ...own, step: p.string() },
});
export const BirthEntity = defineEntity({
  name: 'Birth',
  tableName: 'birth_entry',
  properties: {
    ...own,
    at: p.string().nullable(),
    alive: p.integer(),
    dead: p.integer(),
    deadYoung: p.json<DeadYoung[]>().nullable(),
    ease: p.string(),
    presentation: p.string().nullable(),
    help: p.string().nullable(),
    mothering: p.string().nullable(),
    afterbirth: p.string().nullable(),
    litterKg: p.double().nullable(),
    species: p.string().nullable(),
    reason: p.string().nullable(),
  },
});
export const AfterbirthEntity = defineEntity({
  name: 'Afterbirth',
  tableName: 'afterbirth_entry',
  properties: { ...own, state: p.string() },
});
export const ColostrumEntity = defineEntity({
  name: 'Colostrum',
  tableName: 'colostrum_entry',
  properties: { ...own, at: p.string(), how: p.string() },
});
export const FosteringEntity = defineEntity({
  name: 'Fostering',
  tableName: 'fostering_entry',
  properties: {
    ...own,
    dam: () => p.manyToOne(AnimalEntity).deleteRule('restrict').nullable().index(),
    reason: p.string().nullable(),
  },
});
export const WeaningEntity = defineEntity({
  name: 'Weaning',
  tableName: 'weaning_entry',
  properties: { ...own, isDone: p.boolean() },
});
export const PenStageEntity = defineEntity({
  name: 'PenStage',
  tableName: 'pen_stage_entry',
  properties: { ...own, stage: p.string(), pen: p.string().nullable() },
});
export const FeedEntity = defineEntity({
  name: 'Feed',
  tableName: 'feed_entry',
  properties: { ...own, since: p.string(), feed: p.string(), kg: p.double(), priceMinor: p.integer() },
});
export const StrikeEntity = defineEntity({
  name: 'Strike',
  tableName: 'strike_entry',
  properties: {
    ...own,
    struckEntry: () => p.oneToOne(EntryEntity).deleteRule('restrict').owner(),
    reason: p.string().nullable(),
  },
});

/** The table of each kind of entry. */
export const ENTRY_ENTITIES: Readonly<Record<EntryType, EntitySchema>> = {
  arrival: ArrivalEntity,
  identifier: IdentifierEntity,
  'identifier-end': IdentifierEndEntity,
  move: MoveEntity,
  weight: WeightEntity,
  mark: MarkEntity,
  passage: PassageEntity,
  choice: ChoiceEntity,
  departure: DepartureEntity,
  note: NoteEntity,
  photo: PhotoEntity,
  'litter-weight': LitterWeightEntity,
  treatment: TreatmentEntity,
  look: LookEntity,
  sample: SampleEntity,
  care: CareEntity,
  score: ScoreEntity,
  mob: MobEntity,
  check: CheckEntity,
  heat: HeatEntity,
  service: ServiceEntity,
  stay: StayEntity,
  reservation: ReservationEntity,
  release: ReleaseEntity,
  'stay-end': StayEndEntity,
  harness: HarnessEntity,
  measure: MeasureEntity,
  finish: FinishEntity,
  carcass: CarcassEntity,
  'male-check': MaleCheckEntity,
  'gene-test': GeneTestEntity,
  'pregnancy-test': PregnancyTestEntity,
  loss: LossEntity,
  'way-on': WayOnEntity,
  'carrying-step': CarryingStepEntity,
  birth: BirthEntity,
  afterbirth: AfterbirthEntity,
  colostrum: ColostrumEntity,
  fostering: FosteringEntity,
  weaning: WeaningEntity,
  'pen-stage': PenStageEntity,
  feed: FeedEntity,
  strike: StrikeEntity,
};
