import { ARRIVAL_WAYS, DEPARTURE_WAYS, type ArrivalWay, type DepartureWay } from '../book';
import { isoOf, readTypedBirth, readTypedDate, type BirthKnownTo } from '../calendar';
import { normalised, TAG_COLOURS, type TagColour } from '../identity';
import { SEXES, SPECIES, SPECIES_WORDS, type Sex, type Species } from '../species';
import { cellOf, fault, type Cells, type ReadingChoices, type RowAnswer } from './cells';
import type { ColumnMapping, ImportField } from './columns';
import { readMoney } from './readNumber';
import { readNotes, type NoteLine } from './noteLines';

export interface AnimalRow {
  readonly number: string | undefined;
  readonly colour: TagColour | undefined;
  readonly tattoo: string | undefined;
  readonly electronic: string | undefined;
  readonly name: string | undefined;
  readonly species: Species;
  readonly sex: Sex;
  readonly breed: string | undefined;
  /** Paid for it, hundredths of the money. */
  readonly boughtMinor: number | undefined;
  readonly bornOn: string | undefined;
  readonly birthKnownTo: BirthKnownTo | undefined;
  readonly dam: string | undefined;
  readonly sire: string | undefined;
  readonly birthType: number | undefined;
  readonly rearingType: number | undefined;
  /** By its name: it may be one that is not there yet. */
  readonly group: string | undefined;
  readonly arrivedOn: string | undefined;
  readonly arrivedBy: ArrivalWay | undefined;
  readonly left: { readonly on: string; readonly how: DepartureWay } | undefined;
  readonly notes: readonly NoteLine[];
}

const DAYS = ['arrivedOn', 'leftOn'] as const;
const COUNTS = ['birthType', 'rearingType'] as const;

/**
 * One line of a file of animals. Dam and sire stay numbers: they may stand further down in the same file. Nothing but
 * species and sex is needed: a lamb without a tag is a lamb.
 */
export function readAnimalRow(cells: Cells, mapping: ColumnMapping, choices: ReadingChoices): RowAnswer<AnimalRow> {
  const cell = cellOf(cells, mapping);
  const optional = (field: ImportField): string | undefined => cell(field) || undefined;
  const oneOf = <T extends string>(field: ImportField, known: readonly T[]): T | undefined =>
    known.find((k) => k === normalised(cell(field)));
  const species = SPECIES_BY_WORD.get(normalised(cell('species')));
  if (!species) return fault('species', cell('species'), cell('species') ? 'unknown-word' : 'missing', SPECIES);
  const sex = sexOfWord(cell('sex'));
  if (!sex) return fault('sex', cell('sex'), cell('sex') ? 'unknown-word' : 'missing', SEXES);
  const born = optional('bornOn');
  const birth = born === undefined ? undefined : readTypedBirth(born, choices.dateOrder);
  if (born !== undefined && birth === undefined) return fault('bornOn', born, 'not-a-date');
  const words = {
    colour: oneOf('colour', TAG_COLOURS),
    arrivedBy: oneOf('arrivedBy', ARRIVAL_WAYS),
    leftHow: oneOf('leftHow', DEPARTURE_WAYS),
  };
  for (const [field, known] of [
    ['colour', TAG_COLOURS],
    ['arrivedBy', ARRIVAL_WAYS],
    ['leftHow', DEPARTURE_WAYS],
  ] as const)
    if (optional(field) !== undefined && words[field] === undefined)
      return fault(field, cell(field), 'unknown-word', known);
  const counts: Partial<Record<(typeof COUNTS)[number], number>> = {};
  for (const field of COUNTS) {
    const typed = optional(field);
    if (typed === undefined) continue;
    if (!/^\d{1,2}$/.test(typed)) return fault(field, typed, 'not-a-whole-number');
    counts[field] = Number(typed);
  }
  const days: Partial<Record<(typeof DAYS)[number], string>> = {};
  for (const field of DAYS) {
    const typed = optional(field);
    if (typed === undefined) continue;
    const on = readTypedDate(typed, choices.dateOrder);
    if (on === undefined) return fault(field, typed, 'not-a-date');
    days[field] = isoOf(on);
  }
  const bought = readMoney(cell('bought'));
  if (typeof bought === 'string') return fault('bought', cell('bought'), bought);
  const { colour, arrivedBy, leftHow } = words;
  if (days.leftOn !== undefined && leftHow === undefined) return fault('leftHow', '', 'missing', DEPARTURE_WAYS);
  if (days.leftOn === undefined && leftHow !== undefined) return fault('leftOn', '', 'missing');
  return {
    kind: 'row',
    row: {
      number: optional('number'),
      colour,
      tattoo: optional('tattoo'),
      electronic: optional('electronic'),
      name: optional('name'),
      species,
      sex,
      breed: optional('breed'),
      boughtMinor: bought,
      bornOn: birth === undefined ? undefined : isoOf(birth.on),
      birthKnownTo: birth?.knownTo,
      dam: optional('dam'),
      sire: optional('sire'),
      birthType: counts.birthType,
      rearingType: counts.rearingType,
      group: optional('group'),
      arrivedOn: days.arrivedOn,
      arrivedBy,
      left: days.leftOn !== undefined && leftHow ? { on: days.leftOn, how: leftHow } : undefined,
      notes: readNotes(cell('notes')),
    },
  };
}

const SPECIES_BY_WORD = new Map<string, Species>(
  SPECIES.flatMap((s) => [[s, s] as const, [normalised(SPECIES_WORDS[s].name), s] as const, [`${s}s`, s] as const]),
);
/** A sex by a word for it: `f`, `ewe`, `buck kid`. */
export const sexOfWord = (word: string): Sex | undefined => SEX_BY_WORD.get(normalised(word));

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
