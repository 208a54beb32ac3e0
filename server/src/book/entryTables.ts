import type { EntryType } from '@yaylak/contract';
import * as e from '../records/entry.entities';

/** A type's own table: its entity, and its columns by the name they have in the entry on the wire. */
export interface EntryTable {
  readonly entity: { readonly meta: { readonly tableName: string } };
  readonly columns: Readonly<Record<string, string>>;
  /** Entity property by wire name, where it differs. */
  readonly properties?: Readonly<Record<string, string>>;
  /** How a plain select's value is read, where it is not the value itself. */
  readonly read?: Readonly<Record<string, (value: string | number) => unknown>>;
}

const flag = (value: string | number): true | null => (value ? true : null);
const json = (value: string | number): unknown => JSON.parse(String(value));

/** Where each type of entry lies. A new type is a row here, a class in the contract and a rule in core. */
export const ENTRY_TABLES: Readonly<Record<EntryType, EntryTable>> = {
  arrival: { entity: e.ArrivalEntity, columns: { how: 'how' } },
  identifier: {
    entity: e.IdentifierEntity,
    columns: { kind: 'kind', text: 'text', colour: 'colour', ear: 'ear', shape: 'shape' },
  },
  'identifier-end': {
    entity: e.IdentifierEndEntity,
    columns: { identifierId: 'identifier_id', how: 'how', reason: 'reason' },
    properties: { identifierId: 'identifier' },
  },
  move: { entity: e.MoveEntity, columns: { groupId: 'group_id' }, properties: { groupId: 'group' } },
  weight: { entity: e.WeightEntity, columns: { kg: 'kg', method: 'method', tareKg: 'tare_kg' } },
  mark: { entity: e.MarkEntity, columns: { colour: 'colour', place: 'place', purpose: 'purpose', until: 'until' } },
  passage: { entity: e.PassageEntity, columns: { gate: 'gate', suggested: 'suggested' } },
  choice: {
    entity: e.ChoiceEntity,
    columns: {
      decision: 'decision',
      suggested: 'suggested',
      among: 'among',
      place: 'place',
      of: 'of',
      reason: 'reason',
    },
  },
  departure: { entity: e.DepartureEntity, columns: { how: 'how', cause: 'cause', reason: 'reason' } },
  note: { entity: e.NoteEntity, columns: { text: 'text' } },
  'litter-weight': {
    entity: e.LitterWeightEntity,
    columns: { totalKg: 'total_kg', count: 'count', tareKg: 'tare_kg' },
  },
  treatment: {
    entity: e.TreatmentEntity,
    columns: {
      productId: 'product_id',
      amount: 'amount',
      unit: 'unit',
      route: 'route',
      batch: 'batch',
      reason: 'reason',
      prescribedBy: 'prescribed_by',
      doseKg: 'dose_kg',
      doseMethod: 'dose_method',
      meatDays: 'meat_days',
      milkDays: 'milk_days',
      isOffLabel: 'is_off_label',
    },
    properties: { productId: 'product' },
    read: { isOffLabel: flag },
  },
  look: { entity: e.LookEntity, columns: { grades: 'grades' }, read: { grades: json } },
  sample: { entity: e.SampleEntity, columns: { tube: 'tube', purpose: 'purpose', reason: 'reason' } },
  care: { entity: e.CareEntity, columns: { kind: 'kind', method: 'method' } },
  score: { entity: e.ScoreEntity, columns: { score: 'score', scoredBy: 'scored_by' } },
  mob: { entity: e.MobEntity, columns: { mob: 'mob', suggested: 'suggested' } },
  check: {
    entity: e.CheckEntity,
    columns: { what: 'what', isFound: 'is_found', words: 'words' },
    read: { isFound: Boolean },
  },
  heat: { entity: e.HeatEntity, columns: { at: 'at', signs: 'signs' }, read: { signs: json } },
  service: {
    entity: e.ServiceEntity,
    columns: {
      way: 'way',
      at: 'at',
      maleIds: 'male_ids',
      straw: 'straw',
      otherMale: 'other_male',
      batch: 'batch',
      technician: 'technician',
      colour: 'colour',
      isWitnessed: 'is_witnessed',
      isCheck: 'is_check',
      reason: 'reason',
    },
    read: { maleIds: json, isWitnessed: flag, isCheck: flag },
  },
  stay: {
    entity: e.StayEntity,
    columns: { groupId: 'group_id', colour: 'colour', isTeaser: 'is_teaser', reason: 'reason' },
    properties: { groupId: 'group' },
    read: { isTeaser: flag },
  },
  'stay-end': { entity: e.StayEndEntity, columns: { stayId: 'stay_id' }, properties: { stayId: 'stay' } },
  harness: {
    entity: e.HarnessEntity,
    columns: { stayId: 'stay_id', colour: 'colour' },
    properties: { stayId: 'stay' },
  },
  'male-check': {
    entity: e.MaleCheckEntity,
    columns: { grades: 'grades', girthCm: 'girth_cm' },
    read: { grades: json },
  },
  'gene-test': {
    entity: e.GeneTestEntity,
    columns: { gene: 'gene', result: 'result', laboratory: 'laboratory', sampleId: 'sample_id' },
    properties: { sampleId: 'sample' },
  },
  'pregnancy-test': {
    entity: e.PregnancyTestEntity,
    columns: {
      way: 'way',
      result: 'result',
      young: 'young',
      ageDays: 'age_days',
      findings: 'findings',
      testedBy: 'tested_by',
      learner: 'learner',
      learnerAgeDays: 'learner_age_days',
      sampleId: 'sample_id',
      laboratory: 'laboratory',
      reason: 'reason',
    },
    properties: { sampleId: 'sample' },
    read: { findings: json },
  },
  loss: { entity: e.LossEntity, columns: { how: 'how', words: 'words' } },
  'way-on': {
    entity: e.WayOnEntity,
    columns: {
      decision: 'decision',
      suggested: 'suggested',
      chance: 'chance',
      evidence: 'evidence',
      reason: 'reason',
    },
  },
  'carrying-step': { entity: e.CarryingStepEntity, columns: { step: 'step' } },
  birth: {
    entity: e.BirthEntity,
    columns: {
      at: 'at',
      alive: 'alive',
      dead: 'dead',
      deadYoung: 'dead_young',
      ease: 'ease',
      presentation: 'presentation',
      help: 'help',
      mothering: 'mothering',
      afterbirth: 'afterbirth',
      litterKg: 'litter_kg',
      species: 'species',
      reason: 'reason',
    },
    read: { deadYoung: json },
  },
  afterbirth: { entity: e.AfterbirthEntity, columns: { state: 'state' } },
  colostrum: { entity: e.ColostrumEntity, columns: { at: 'at', how: 'how' } },
  fostering: {
    entity: e.FosteringEntity,
    columns: { damId: 'dam_id', reason: 'reason' },
    properties: { damId: 'dam' },
  },
  weaning: { entity: e.WeaningEntity, columns: { isDone: 'is_done' }, read: { isDone: Boolean } },
  'pen-stage': { entity: e.PenStageEntity, columns: { stage: 'stage', pen: 'pen' } },
  feed: {
    entity: e.FeedEntity,
    columns: { since: 'since', feed: 'feed', kg: 'kg', priceMinor: 'price_minor' },
  },
  strike: {
    entity: e.StrikeEntity,
    columns: { entryId: 'struck_entry_id', reason: 'reason' },
    properties: { entryId: 'struckEntry' },
  },
};

/** Columns of each type that hold a list or a set of grades: no schema can hold these to a shape. */
export const LISTS = Object.fromEntries(
  Object.entries(ENTRY_TABLES).map(([type, { read = {} }]) => [
    type,
    Object.keys(read).filter((name) => read[name] === json),
  ]),
) as Record<string, readonly string[]> as Readonly<Record<EntryType, readonly string[]>>;
