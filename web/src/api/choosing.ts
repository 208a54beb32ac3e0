import { queryOptions } from '@tanstack/react-query';
import type {
  BreedingProgress,
  ChoosingQuery,
  ChoosingSet,
  ChoosingView,
  GoingView,
  HerdView,
  KinView,
  StrictnessView,
  GeneticTrendView,
} from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { ask, withQuery } from './client';
import { OTHERS_EVERY_MS } from './others';

/** Asked again so often while new breeding values are being worked. */
const BEHIND_MS = 2_000;
const whileBehind = ({
  state: { data },
}: {
  readonly state: { readonly data?: { readonly isBehind: boolean } | undefined };
}) => (data?.isBehind ? BEHIND_MS : false);
export const choosingSetsQuery = queryOptions({
  queryKey: ['choosing-sets'],
  queryFn: ({ signal }) => ask<ChoosingSet[]>('/api/choosing/sets', { signal }),
});
export const choosingQuery = (query: ChoosingQuery) =>
  queryOptions({
    queryKey: ['choosing', query],
    queryFn: ({ signal }) => ask<ChoosingView>(withQuery('/api/choosing', query), { signal }),
    refetchInterval: OTHERS_EVERY_MS,
  });
export const kinQuery = (query: ChoosingQuery) =>
  queryOptions({
    queryKey: ['choosing-kin', query],
    queryFn: ({ signal }) => ask<KinView>(withQuery('/api/choosing/kin', query), { signal }),
  });
export const breedingProgressQuery = (species: Species) =>
  queryOptions({
    queryKey: ['breeding-progress', species],
    queryFn: ({ signal }) => ask<BreedingProgress>(withQuery('/api/choosing/progress', { species }), { signal }),
    refetchInterval: 500,
  });
export const strictnessQuery = (species: Species) =>
  queryOptions({
    queryKey: ['strictness', species],
    queryFn: ({ signal }) => ask<StrictnessView>(withQuery('/api/choosing/strictness', { species }), { signal }),
  });
export const trendQuery = (species: Species) =>
  queryOptions({
    queryKey: ['genetic-trend', species],
    queryFn: ({ signal }) => ask<GeneticTrendView>(withQuery('/api/choosing/trend', { species }), { signal }),
    refetchInterval: whileBehind,
  });

/** The query of a set. */
export const queryOf = ({ species, sex, from }: ChoosingSet): ChoosingQuery =>
  from === null ? { species, sex } : { species, sex, from };
export const goingQuery = (species: Species) =>
  queryOptions({
    queryKey: ['going', species],
    queryFn: ({ signal }) => ask<GoingView>(withQuery('/api/choosing/going', { species }), { signal }),
  });
export const herdQuery = (species: Species) =>
  queryOptions({
    queryKey: ['herd', species],
    queryFn: ({ signal }) => ask<HerdView>(withQuery('/api/choosing/herd', { species }), { signal }),
    refetchInterval: whileBehind,
  });
