import { emptyFacts, type AnimalFacts, type AnimalRecord } from '../book';
import { dayOf, type Day } from '../calendar';
import type { GrowingAnimal, Reading, WeighingMethod } from '../growth';

/** A reading in one line: `reading('2026-05-01', 20)`. */
export const reading = (on: string, kg: number, method: WeighingMethod = 'scale'): Reading => ({
  on: dayOf(on),
  kg,
  method,
});

/** A lamb born on 1 April 2026, a twin reared as twin by a four-year-old, unless said otherwise. */
export function aLamb(change: Partial<GrowingAnimal> & { readonly id?: string } = {}): GrowingAnimal {
  return {
    id: 'lamb',
    sex: 'female',
    bornOn: dayOf('2026-04-01'),
    birthType: 2,
    rearingType: 2,
    damAgeYears: 4,
    daily: [],
    ...change,
  };
}

export const day = (iso: string): Day => dayOf(iso);

/** An animal nothing is written of yet but its record: a ewe of unknown birth, unless said otherwise. */
export const anAnimal = (id: string, change: Partial<AnimalRecord> = {}): AnimalFacts =>
  emptyFacts({
    id,
    version: 1,
    species: 'sheep',
    sex: 'female',
    bornOn: undefined,
    damId: undefined,
    sireId: undefined,
    donorId: undefined,
    birthType: undefined,
    rearingType: undefined,
    strain: undefined,
    ...change,
  });
