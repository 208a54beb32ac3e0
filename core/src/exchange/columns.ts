import { normalised } from '../identity';
import { WEIGHT_UNITS, type WeightUnit } from '../units';

/** What a file of this kind can carry. */
export const IMPORT_FIELDS = {
  weights: ['number', 'colour', 'on', 'weight', 'method'],
  carcasses: ['number', 'colour', 'on', 'carcass', 'shape', 'fat', 'price', 'deducted'],
  animals: [
    'number',
    'colour',
    'tattoo',
    'electronic',
    'name',
    'species',
    'sex',
    'breed',
    'bought',
    'bornOn',
    'dam',
    'sire',
    'birthType',
    'rearingType',
    'group',
    'arrivedOn',
    'arrivedBy',
    'leftOn',
    'leftHow',
    'notes',
  ],
} as const;
export type ImportKind = keyof typeof IMPORT_FIELDS;
export type ImportField = (typeof IMPORT_FIELDS)[ImportKind][number];

export const REQUIRED_FIELDS: Readonly<Record<ImportKind, readonly ImportField[]>> = {
  weights: ['number', 'on', 'weight'],
  carcasses: ['number', 'on', 'carcass'],
  animals: ['species', 'sex'],
};

/** Column index by field. */
export type ColumnMapping = Readonly<Partial<Record<ImportField, number>>>;

/** Headings people use, normalised; the first column whose heading is or starts with one of them is guessed. */
const HEADINGS: Readonly<Record<ImportField, readonly string[]>> = {
  number: ['number', 'tag', 'eartag', 'animal', 'vid', 'id', 'visual'],
  electronic: ['electronic', 'eid', 'rfid', 'chip', 'transponder'],
  colour: ['colour', 'color', 'tagcolour'],
  name: ['name', 'callname'],
  species: ['species', 'kind'],
  sex: ['sex', 'gender'],
  bornOn: ['born', 'birth', 'dob', 'birthdate'],
  dam: ['dam', 'mother'],
  sire: ['sire', 'father'],
  birthType: ['bornas', 'birthtype', 'littersize'],
  rearingType: ['rearedas', 'rearingtype', 'reared'],
  group: ['group', 'mob', 'pen'],
  tattoo: ['tattoo'],
  breed: ['breed', 'strain', 'race'],
  bought: ['boughtfor', 'purchase', 'cost'],
  arrivedOn: ['arrived', 'arrival', 'since'],
  arrivedBy: ['cameby', 'origin'],
  leftOn: ['left', 'gone', 'departed'],
  leftHow: ['lefthow', 'howleft'],
  notes: ['notes', 'note', 'remarks', 'comment'],
  on: ['date', 'on', 'weighed', 'killed', 'day'],
  weight: ['weight', 'kg', 'lb', 'mass'],
  carcass: ['carcass', 'cold', 'dressed', 'dead', 'weight', 'kg', 'lb'],
  shape: ['shape', 'conformation', 'class'],
  fat: ['fat', 'cover'],
  price: ['price', 'paid', 'value', 'amount', 'total'],
  deducted: ['deduct', 'off', 'charges', 'levy'],
  method: ['method', 'how', 'scale'],
};

/** A price a kilogram is not what was paid for the head. */
const NEVER: Readonly<Partial<Record<ImportField, RegExp>>> = { price: /kg$|lb$/ };

/** The unit that the heading of the weights names: `weight kg`, `Weight (lb)`. */
export function guessUnit(mapping: ColumnMapping, headings: readonly string[]): WeightUnit | undefined {
  const heading = headings[mapping.weight ?? mapping.carcass ?? -1] ?? '';
  const words = heading.toLowerCase().split(/[^a-z]+/);
  return WEIGHT_UNITS.find((unit) => words.includes(unit) || words.includes(`${unit}s`));
}

/** Guesses which column carries which field from the headings: whole heading first, then a heading that starts so. */
export function guessColumns(kind: ImportKind, headings: readonly string[]): ColumnMapping {
  const plain = headings.map((h) => normalised(h.replace(/[()[\]]/g, '')));
  const taken = new Set<number>();
  const mapping: Partial<Record<ImportField, number>> = {};
  for (const fits of [(h: string, w: string) => h === w, (h: string, w: string) => h.startsWith(w)]) {
    for (const field of IMPORT_FIELDS[kind]) {
      if (mapping[field] !== undefined) continue;
      const at = plain.findIndex(
        (h, i) => !taken.has(i) && !NEVER[field]?.test(h) && HEADINGS[field].some((w) => fits(h, w)),
      );
      if (at < 0) continue;
      mapping[field] = at;
      taken.add(at);
    }
  }
  // A file of a stick, a crate or a hook knows an animal by its electronic number alone.
  if (kind !== 'animals' && mapping.number === undefined) {
    const at = plain.findIndex((h, i) => !taken.has(i) && HEADINGS.electronic.some((w) => h.startsWith(w)));
    if (at >= 0) mapping.number = at;
  }
  return mapping;
}
