import type { GrowthFactors, Sex } from '../species';
import { fitLinear } from '../statistics';
import type { Kilograms } from '../units';

export const FACTOR_GROUPS = ['birthType', 'sex', 'damAge'] as const;
export type FactorGroup = (typeof FACTOR_GROUPS)[number];

/** What decides an animal's classes. Undefined where it is not known. */
export interface FactorTraits {
  readonly sex: Sex;
  readonly birthType: number | undefined;
  readonly rearingType: number | undefined;
  /** Dam's age in completed years at the birth. */
  readonly damAgeYears: number | undefined;
}

/** The class an animal belongs to in each group; undefined where it is unknown or the table has no such class. */
export type FactorClasses = Readonly<Record<FactorGroup, string | undefined>>;

/** Classes of an animal by the table's own keys. */
export function factorClasses(traits: FactorTraits, table: GrowthFactors): FactorClasses {
  const birthType =
    table.birthTypeBy === 'litter-size' ? band(traits.birthType, table.birthType) : bornReared(traits, table);
  const damAge = band(traits.damAgeYears === undefined ? undefined : Math.max(1, traits.damAgeYears), table.damAge);
  return { birthType, sex: traits.sex in table.sex ? traits.sex : undefined, damAge };
}

function bornReared({ birthType, rearingType }: FactorTraits, table: GrowthFactors): string | undefined {
  if (birthType === undefined) return undefined;
  const born = Math.min(3, birthType);
  const reared = Math.min(born, Math.max(1, rearingType ?? born));
  const key = `${born}-${reared}`;
  return key in table.birthType ? key : undefined;
}

/** The key of a table whose keys are `4`, `5-7` or `10+` that holds a count. */
function band(count: number | undefined, table: Readonly<Record<string, number>>): string | undefined {
  if (count === undefined) return undefined;
  return Object.keys(table).find((key) => {
    const [from = '', to] = key.replace('+', '-999').split('-');
    return count >= Number(from) && count <= Number(to ?? from);
  });
}

/** How one class's factor came about. */
export interface FactorInUse {
  readonly factor: number;
  readonly source: 'table' | 'own';
  /** Records of the holding in the class. */
  readonly records: number;
  /** Weight given to the holding's own figure, n / (n + 60); 0 for the table. */
  readonly ownWeight: number;
}

export type FactorsInUse = Readonly<Record<FactorGroup, Readonly<Record<string, FactorInUse>>>>;

/** One record of the holding: a weight set to an age by the linear rule alone. */
export interface FactorRecord {
  readonly kg: Kilograms;
  readonly classes: FactorClasses;
  /** Contemporary batch: only differences inside one say anything of the factors. */
  readonly batch: string;
}

/** Records a class must have before the holding's own figure counts. */
export const OWN_FROM_RECORDS = 60;

/** The shipped table as it stands. */
export const shippedFactors = (table: GrowthFactors): FactorsInUse => fitFactors([], table);

/**
 * Factors in use: the shipped table, and for classes with 60 records or more the holding's own, fitted by least squares
 * of log weight on the classes within batches, shrunk on the log scale toward the table with weight n / (n + 60).
 * A group's own factors are used only when its base class (factor 1) has 60 records too: they are relative to it.
 */
export function fitFactors(records: readonly FactorRecord[], table: GrowthFactors): FactorsInUse {
  const complete = records.filter((r) => r.kg > 0 && FACTOR_GROUPS.every((g) => r.classes[g] !== undefined));
  const columns = FACTOR_GROUPS.flatMap((group) =>
    Object.keys(table[group])
      .filter((key) => key !== baseClass(table[group]))
      .map((key) => ({ group, key })),
  );
  const fitted = complete.length >= OWN_FROM_RECORDS ? logEffects(complete, columns) : undefined;
  const counts = new Map<string, number>();
  for (const { classes } of complete)
    for (const group of FACTOR_GROUPS) {
      const key = `${group} ${classes[group]}`;
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
  const count = (group: FactorGroup, key: string): number => counts.get(`${group} ${key}`) ?? 0;
  const inUse = (group: FactorGroup): Record<string, FactorInUse> => {
    const base = baseClass(table[group]);
    const isBaseKnown = count(group, base) >= OWN_FROM_RECORDS;
    return Object.fromEntries(
      Object.entries(table[group]).map(([key, shipped]) => {
        const n = count(group, key);
        const effect = fitted?.get(`${group} ${key}`);
        if (!isBaseKnown || n < OWN_FROM_RECORDS || effect === undefined)
          return [key, { factor: shipped, source: 'table', records: n, ownWeight: 0 }];
        const ownWeight = n / (n + OWN_FROM_RECORDS);
        // The factor undoes the effect, hence the minus.
        const factor = Math.exp(ownWeight * -effect + (1 - ownWeight) * Math.log(shipped));
        return [key, { factor, source: 'own', records: n, ownWeight }];
      }),
    );
  };
  return { birthType: inUse('birthType'), sex: inUse('sex'), damAge: inUse('damAge') };
}

const baseClass = (table: Readonly<Record<string, number>>): string =>
  Object.keys(table).find((key) => table[key] === 1) ?? (Object.keys(table)[0] as string);

function logEffects(
  records: readonly FactorRecord[],
  columns: readonly { readonly group: FactorGroup; readonly key: string }[],
): Map<string, number> {
  // Records of one batch and the same classes are one row that counts as often: the normal equations stay the same.
  const batches = new Map<string, Map<string, { readonly row: readonly number[]; count: number; sumY: number }>>();
  for (const { batch, classes, kg } of records) {
    const cells = batches.get(batch) ?? new Map<string, { row: readonly number[]; count: number; sumY: number }>();
    batches.set(batch, cells);
    const key = `${classes.birthType}/${classes.sex}/${classes.damAge}`;
    const cell = cells.get(key) ?? {
      row: columns.map((column) => (classes[column.group] === column.key ? 1 : 0)),
      count: 0,
      sumY: 0,
    };
    cells.set(key, cell);
    cell.count++;
    cell.sumY += Math.log(kg);
  }
  // Batches are taken out by centring inside each (Frisch & Waugh 1933) instead of a column a batch.
  const rows: number[][] = [];
  const y: number[] = [];
  for (const batch of batches.values()) {
    const cells = [...batch.values()];
    const n = cells.reduce((s, c) => s + c.count, 0);
    const means = columns.map((_, c) => cells.reduce((s, { row, count }) => s + count * (row[c] as number), 0) / n);
    const meanY = cells.reduce((s, c) => s + c.sumY, 0) / n;
    for (const { row, count, sumY } of cells) {
      const weight = Math.sqrt(count);
      rows.push(row.map((v, c) => weight * (v - (means[c] as number))));
      y.push(weight * (sumY / count - meanY));
    }
  }
  const effects = fitLinear(rows, y);
  return new Map(columns.map(({ group, key }, c) => [`${group} ${key}`, effects[c] as number]));
}
