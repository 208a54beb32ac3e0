import { useQuery } from '@tanstack/react-query';
import type { DateOrder, WeightUnit } from '@yaylak/core';
import { holdingQuery } from '../api/queries';

/** The unit the holding weighs in. */
export function useWeightUnit(): WeightUnit {
  return useQuery(holdingQuery).data?.unit ?? 'kg';
}

/** The order the holding writes day, month and year in. */
export function useDateOrder(): DateOrder {
  return useQuery(holdingQuery).data?.dateOrder ?? 'day-month';
}
