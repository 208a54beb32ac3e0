import { isoOf, readTypedBirth, readTypedDate, type BirthKnownTo, type DateOrder } from '../calendar';
import { WEIGHING_METHODS, type WeighingMethod } from '../growth';
import { normalised, readElectronicNumber, TAG_COLOURS, type Resolved, type TagColour } from '../identity';
import { SEXES, SPECIES, SPECIES_WORDS, type Sex, type Species } from '../species';
import { toKg, type WeightUnit, type AnimalId, type GroupId, type Kilograms } from '../units';
import type { ColumnMapping, ImportField } from './columns';
import { readTypedNumber } from './readNumber';

/** How a file is to be read, beside its columns. */
export interface ReadingChoices {
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder;
}

/** A cell that cannot be taken, and why. */
export interface RowFault {
  readonly field: ImportField;
  readonly value: string;
  readonly reason:
    | 'missing'
    | 'not-a-number'
    | 'not-a-date'
    | 'not-a-whole-number'
    | 'unknown-animal'
    | 'several-animals'
    | 'unknown-word'
    | 'unknown-group';
  /** Words that would do, for `unknown-word`. */
  readonly known?: readonly string[];
}

export type RowAnswer<T> =
  { readonly kind: 'row'; readonly row: T } | { readonly kind: 'fault'; readonly fault: RowFault };

export interface WeightRow {
  readonly animalId: AnimalId;
  readonly on: string;
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
}

/** Devices write date and time in one cell; for a weight the day is what counts. */
const TIME_BEHIND = /[ T]\d{1,2}:\d{2}.*$/;

type Cells = readonly string[];
type Cell = (field: ImportField) => string;

const cellOf =
  (cells: Cells, mapping: ColumnMapping): Cell =>
  (field) => {
    const at = mapping[field];
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };
const fault = (
  field: ImportField,
  value: string,
  reason: RowFault['reason'],
  known?: readonly string[],
): { kind: 'fault'; fault: RowFault } => ({
  kind: 'fault',
  fault: known ? { field, value, reason, known } : { field, value, reason },
});

/** One line of a file of weights. @param resolve finds the animal a number means */
export function readWeightRow(
  cells: Cells,
  mapping: ColumnMapping,
  choices: ReadingChoices,
  resolve: (number: string) => Resolved,
): RowAnswer<WeightRow> {
  const cell = cellOf(cells, mapping);
  const number = cell('number');
  if (number === '') return fault('number', '', 'missing');
  const electronic = readElectronicNumber(number);
  const found = resolve(electronic.kind === 'number' ? electronic.digits : number);
  if (found.kind === 'none') return fault('number', number, 'unknown-animal');
  if (found.kind === 'several') return fault('number', number, 'several-animals');
  const date = cell('on');
  if (date === '') return fault('on', '', 'missing');
  const on = readTypedDate(date.replace(TIME_BEHIND, ''), choices.dateOrder);
  if (on === undefined) return fault('on', date, 'not-a-date');
  const typed = cell('weight');
  const weight = readTypedNumber(typed);
  if (weight.kind === 'refused') return fault('weight', typed, weight.reason === 'empty' ? 'missing' : 'not-a-number');
  const how = normalised(cell('method'));
  const method = how === '' ? 'scale' : WEIGHING_METHODS.find((m) => m === how);
  if (!method) return fault('method', cell('method'), 'unknown-word', WEIGHING_METHODS);
  return {
    kind: 'row',
    row: { animalId: found.animalId, on: isoOf(on), kg: toKg(weight.value, choices.unit), method },
  };
}

export interface AnimalRow {
  readonly number: string;
  readonly colour: TagColour | undefined;
  readonly electronic: string | undefined;
  readonly name: string | undefined;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | undefined;
  readonly birthKnownTo: BirthKnownTo | undefined;
  readonly dam: string | undefined;
  readonly sire: string | undefined;
  readonly birthType: number | undefined;
  readonly rearingType: number | undefined;
  readonly groupId: GroupId | undefined;
}

/** One line of a file of animals. Dam and sire stay numbers: they may stand further down in the same file. */
export function readAnimalRow(
  cells: Cells,
  mapping: ColumnMapping,
  choices: ReadingChoices,
  groupByName: (name: string) => string | undefined,
): RowAnswer<AnimalRow> {
  const cell = cellOf(cells, mapping);
  const optional = (field: ImportField): string | undefined => cell(field) || undefined;
  if (cell('number') === '') return fault('number', '', 'missing');
  const species = SPECIES_BY_WORD.get(normalised(cell('species')));
  if (!species) return fault('species', cell('species'), cell('species') ? 'unknown-word' : 'missing', SPECIES);
  const sex = SEX_BY_WORD.get(normalised(cell('sex')));
  if (!sex) return fault('sex', cell('sex'), cell('sex') ? 'unknown-word' : 'missing', SEXES);
  const born = optional('bornOn');
  const birth = born === undefined ? undefined : readTypedBirth(born, choices.dateOrder);
  if (born !== undefined && birth === undefined) return fault('bornOn', born, 'not-a-date');
  const colourWord = optional('colour');
  const colour = colourWord === undefined ? undefined : TAG_COLOURS.find((c) => c === normalised(colourWord));
  if (colourWord !== undefined && !colour) return fault('colour', colourWord, 'unknown-word', TAG_COLOURS);
  const counts: Partial<Record<'birthType' | 'rearingType', number>> = {};
  for (const field of ['birthType', 'rearingType'] as const) {
    const typed = optional(field);
    if (typed === undefined) continue;
    if (!/^\d{1,2}$/.test(typed)) return fault(field, typed, 'not-a-whole-number');
    counts[field] = Number(typed);
  }
  const groupName = optional('group');
  const groupId = groupName === undefined ? undefined : groupByName(groupName);
  if (groupName !== undefined && groupId === undefined) return fault('group', groupName, 'unknown-group');
  return {
    kind: 'row',
    row: {
      number: cell('number'),
      colour,
      electronic: optional('electronic'),
      name: optional('name'),
      species,
      sex,
      bornOn: birth === undefined ? undefined : isoOf(birth.on),
      birthKnownTo: birth?.knownTo,
      dam: optional('dam'),
      sire: optional('sire'),
      birthType: counts.birthType,
      rearingType: counts.rearingType,
      groupId,
    },
  };
}

const SPECIES_BY_WORD = new Map<string, Species>(
  SPECIES.flatMap((s) => [[s, s] as const, [normalised(SPECIES_WORDS[s].name), s] as const, [`${s}s`, s] as const]),
);
const SEX_BY_WORD = new Map<string, Sex>([
  ...SEXES.map((s) => [s, s] as const),
  ['f', 'female'],
  ['m', 'male'],
  ['c', 'castrate'],
  ...SPECIES.flatMap((species) =>
    SEXES.filter((sex) => sex !== 'unknown').flatMap((sex) =>
      [...SPECIES_WORDS[species].grown[sex], ...SPECIES_WORDS[species].young[sex]].map(
        (w) => [normalised(w), sex] as const,
      ),
    ),
  ),
]);
