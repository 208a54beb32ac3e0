import { mean } from '../statistics';
import type { AnimalId } from '../units';

/** What the trend has to know of an animal. */
export interface Bred {
  readonly id: AnimalId;
  readonly bornIn: number;
  readonly sireId: AnimalId | undefined;
  readonly damId: AnimalId | undefined;
}

/** What parents of one sex brought to the young of a year. */
export interface Brought {
  /** Young with such a parent known. */
  readonly young: number;
  /** Mean value of the parents, one for each young, less that of the parents' own birth years. */
  readonly superiority: number;
  /** Mean of these young less that of the parents' own birth years. */
  readonly gain: number;
}

export interface YearOfBirth {
  readonly year: number;
  readonly head: number;
  readonly mean: number;
  /** SD / sqrt(n), the spread of the values alone; undefined of one alone. */
  readonly standardError: number | undefined;
  readonly dams: Brought | undefined;
  readonly sires: Brought | undefined;
}

/** Mean value by year of birth, and how much of it came by the choice of dams and of sires. */
export function geneticTrend(animals: readonly Bred[], values: ReadonlyMap<AnimalId, number>): YearOfBirth[] {
  const known = new Map<AnimalId, { readonly bornIn: number; readonly value: number }>();
  const byYear = new Map<number, Bred[]>();
  for (const animal of animals) {
    const value = values.get(animal.id);
    if (value === undefined) continue;
    known.set(animal.id, { bornIn: animal.bornIn, value });
    const year = byYear.get(animal.bornIn);
    if (year) year.push(animal);
    else byYear.set(animal.bornIn, [animal]);
  }
  const valueOf = ({ id }: Bred): number => values.get(id) as number;
  const meanOf = new Map([...byYear].map(([year, born]) => [year, mean(born.map(valueOf)) as number]));
  const brought = (born: readonly Bred[], parent: 'damId' | 'sireId'): Brought | undefined => {
    const pairs = born.flatMap((young) => {
      const of = known.get(young[parent] ?? '');
      return of ? [{ young: valueOf(young), parent: of.value, year: meanOf.get(of.bornIn) as number }] : [];
    });
    if (pairs.length === 0) return undefined;
    const meanOfPairs = (of: (pair: (typeof pairs)[number]) => number): number => mean(pairs.map(of)) as number;
    const years = meanOfPairs((p) => p.year);
    return {
      young: pairs.length,
      superiority: meanOfPairs((p) => p.parent) - years,
      gain: meanOfPairs((p) => p.young) - years,
    };
  };
  return [...byYear]
    .sort(([a], [b]) => a - b)
    .map(([year, born]): YearOfBirth => {
      const all = born.map(valueOf);
      const middle = mean(all) as number;
      const spread = all.reduce((sum, v) => sum + (v - middle) ** 2, 0) / (all.length - 1);
      return {
        year,
        head: all.length,
        mean: middle,
        standardError: all.length < 2 ? undefined : Math.sqrt(spread / all.length),
        dams: brought(born, 'damId'),
        sires: brought(born, 'sireId'),
      };
    });
}
