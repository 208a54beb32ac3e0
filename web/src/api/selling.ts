import { queryOptions } from '@tanstack/react-query';
import type {
  CreateLoad,
  LoadFacts,
  MarginsQuery,
  MarginsView,
  PlannedLoadView,
  OutletView,
  ResultsQuery,
  ResultsView,
  SaleAheadView,
  SaleAnimalView,
  SaleSheetView,
  SellingQuery,
  SellingView,
} from '@yaylak/contract';
import { ask, withQuery } from './client';
import { OTHERS_EVERY_MS } from './others';

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
export const marginsQuery = (query: MarginsQuery) =>
  queryOptions({
    queryKey: ['sale-margins', query],
    queryFn: ({ signal }) => ask<MarginsView>(withQuery('/api/selling/margins', query), { signal }),
  });
export const saleSheetQuery = (ids: readonly string[]) =>
  queryOptions({
    queryKey: ['sale-sheet', ids],
    queryFn: ({ signal }) => ask<SaleSheetView>(`/api/selling/sheet?ids=${ids.join(',')}`, { signal }),
  });
export const saleAheadQuery = queryOptions({
  queryKey: ['sale-ahead'],
  queryFn: ({ signal }) => ask<SaleAheadView>('/api/selling/ahead', { signal }),
});
export const loadsQuery = queryOptions({
  queryKey: ['loads'],
  queryFn: ({ signal }) => ask<PlannedLoadView[]>('/api/selling/loads', { signal }),
});
export const loadQuery = (id: string) =>
  queryOptions({
    queryKey: ['loads', id],
    queryFn: ({ signal }) => ask<PlannedLoadView>(`/api/selling/loads/${id}`, { signal }),
    refetchInterval: OTHERS_EVERY_MS,
  });
export const planLoad = (load: CreateLoad): Promise<PlannedLoadView> =>
  ask<PlannedLoadView>('/api/selling/loads', { method: 'POST', body: load });
export const changeLoad = ({ id, version }: PlannedLoadView, facts: LoadFacts): Promise<PlannedLoadView> =>
  ask<PlannedLoadView>(`/api/selling/loads/${id}`, { method: 'PUT', body: { ...facts, version } });
export const dropLoad = ({ id, version }: PlannedLoadView): Promise<void> =>
  ask(`/api/selling/loads/${id}?version=${version}`, { method: 'DELETE' });
export const outletsQuery = queryOptions({
  queryKey: ['outlets'],
  queryFn: ({ signal }) => ask<OutletView[]>('/api/selling/outlets', { signal }),
});
export const saleAnimalQuery = (id: string) =>
  queryOptions({
    queryKey: ['sale-animal', id],
    queryFn: ({ signal }) => ask<SaleAnimalView>(`/api/selling/animals/${id}`, { signal }),
  });
