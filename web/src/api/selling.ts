import { queryOptions } from '@tanstack/react-query';
import type {
  OutletView,
  ResultsQuery,
  ResultsView,
  SaleAnimalView,
  SaleSheetView,
  SellingQuery,
  SellingView,
} from '@yaylak/contract';
import { ask, withQuery } from './client';

export const sellingQuery = (query: SellingQuery) =>
  queryOptions({
    queryKey: ['selling', query],
    queryFn: ({ signal }) => ask<SellingView>(withQuery('/api/selling', query), { signal }),
  });
export const resultsQuery = (query: ResultsQuery) =>
  queryOptions({
    queryKey: ['sale-results', query],
    queryFn: ({ signal }) => ask<ResultsView>(withQuery('/api/selling/results', query), { signal }),
  });
export const saleSheetQuery = (ids: readonly string[]) =>
  queryOptions({
    queryKey: ['sale-sheet', ids],
    queryFn: ({ signal }) => ask<SaleSheetView>(`/api/selling/sheet?ids=${ids.join(',')}`, { signal }),
  });
export const outletsQuery = queryOptions({
  queryKey: ['outlets'],
  queryFn: ({ signal }) => ask<OutletView[]>('/api/selling/outlets', { signal }),
});
export const saleAnimalQuery = (id: string) =>
  queryOptions({
    queryKey: ['sale-animal', id],
    queryFn: ({ signal }) => ask<SaleAnimalView>(`/api/selling/animals/${id}`, { signal }),
  });
