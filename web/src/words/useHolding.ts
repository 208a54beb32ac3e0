import { useQuery } from '@tanstack/react-query';
import { SPECIES, type DateOrder, type Species, type WeekStart, type WeightUnit } from '@yaylak/core';
import { holdingQuery } from '../api/queries';
import { SPECIES_WORDS } from '@yaylak/contract';

/** The unit the holding weighs in. */
export function useWeightUnit(): WeightUnit {
  return useQuery(holdingQuery).data?.unit ?? 'kg';
}

/** The order the holding writes day, month and year in. */
export function useDateOrder(): DateOrder {
  return useQuery(holdingQuery).data?.dateOrder ?? 'day-month';
}

/** The day the holding's week begins on. */
export function useWeekStart(): WeekStart {
  return useQuery(holdingQuery).data?.weekStart ?? 'monday';
}

/** The species the holding keeps, in their usual order. */
export function useSpecies(): readonly Species[] {
  return useQuery(holdingQuery).data?.keeps ?? SPECIES;
}

/** The species a page begins with where nothing says another. */
export const useFirstSpecies = (): Species => useSpecies()[0] ?? 'sheep';

/** The species the holding keeps, to choose one of. */
export function useSpeciesOptions(): readonly (readonly [Species, string])[] {
  return useSpecies().map((s) => [s, SPECIES_WORDS[s].name]);
}
