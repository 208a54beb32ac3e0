import { useQuery } from '@tanstack/react-query';
import type { WeightUnit } from '@yaylak/core';
import { holdingQuery } from '../api/queries';

/** The unit the holding weighs in. */
export function useWeightUnit(): WeightUnit {
  return useQuery(holdingQuery).data?.unit ?? 'kg';
}
