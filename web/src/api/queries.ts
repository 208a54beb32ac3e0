import { infiniteQueryOptions, queryOptions, type QueryClient } from '@tanstack/react-query';
import type {
  AnimalPage,
  AnimalQuery,
  AnimalView,
  AgeingView,
  BirthListView,
  BirthsView,
  DamQuery,
  DamView,
  LifeView,
  LongList,
  LittersQuery,
  LittersView,
  RearingView,
  CarryingFemaleView,
  CarryingQuery,
  CarryingView,
  CopiesView,
  CopyLossView,
  ConditionQuery,
  ConditionView,
  DrillsView,
  GroupView,
  HoldingView,
  HouseholdView,
  IdentifierIndexRow,
  JobEntries,
  MatingQuery,
  MatingRecordView,
  MatingView,
  MentionView,
  PeopleView,
  PairingView,
  PairView,
  PedigreeView,
  JobView,
  RegisterQuery,
  RegisterView,
  RemediesView,
  RosterView,
  ScorersView,
  WithheldOfAnimal,
  SeasonView,
  TagsView,
  TodayView,
  TubeOutView,
  WearerView,
  YearBandView,
} from '@yaylak/contract';
import { identifierRows, writeDatesAs } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { carriedOn, clockAt, dayApart, deviceMoment, minutesAhead, type DayApart } from './deviceClock';
import { ask, withQuery } from './client';

/** The settings as the server gave them, with this device's clock then. */
interface HoldingRead extends HoldingView {
  readonly readAt: string;
  readonly dayApart?: DayApart;
}
/** A job as the server gave it, and when it was asked, in ms: it knows nothing of what came after. */
interface JobRead extends JobEntries {
  readonly askedAt: number;
}
/** The settings as this device goes by them. */
export type HoldingHere = HoldingView & {
  readonly dayApart?: DayApart;
  /** How far this device's clock is ahead of the server's, where that is more than a few minutes. */
  readonly minutesAhead?: number | undefined;
};

let kept: { readonly at: string; readonly select: (read: HoldingRead) => HoldingHere } | undefined;
/** The settings as they stand at a moment of this device. */
function holdingAt(at: string): (read: HoldingRead) => HoldingHere {
  // Kept by an older page they have no clock: that one went by the server's day.
  if (kept?.at !== at)
    kept = {
      at,
      select: (read) => {
        // A book of an older page says nothing of it.
        writeDatesAs(read.dateOrder ?? 'day-month');
        return read.readAt
          ? { ...read, today: carriedOn(read, at), now: clockAt(read, at), minutesAhead: minutesAhead(read) }
          : read;
      },
    };
  return kept.select;
}

/** What the server can be asked, each with the key it is kept under. */
export const holdingQuery = {
  ...queryOptions({
    queryKey: ['holding'],
    queryFn: async ({ signal, client }): Promise<HoldingRead> => {
      const before = client.getQueryData<HoldingRead>(['holding']);
      const read = { ...(await ask<HoldingView>('/api/holding', { signal })), readAt: deviceMoment() };
      const apart = (before?.readAt && dayApart(before, read)) || before?.dayApart;
      return apart ? { ...read, dayApart: apart } : read;
    },
  }),
  // Another function each minute: what was worked out with yesterday's is worked out anew.
  get select() {
    return holdingAt(deviceMoment());
  },
};
/** Somebody has read that this device's day was another one. */
export const forgetDayApart = (client: QueryClient): void =>
  void client.setQueryData<HoldingRead>(['holding'], (read) => {
    const { dayApart: _, ...rest } = read ?? ({} as HoldingRead);
    return read && rest;
  });
/** One of Today's long lists, whole; under the key of Today, so that it is read again with it. */
export const todayWholeQuery = (all: LongList) =>
  queryOptions({
    queryKey: ['today', { all }],
    queryFn: ({ signal }) => ask<TodayView>(`/api/today?all=${all}`, { signal }),
  });
export const todayQuery = queryOptions({
  queryKey: ['today'],
  queryFn: ({ signal }) => ask<TodayView>('/api/today', { signal }),
});
export const yearBandQuery = queryOptions({
  queryKey: ['year-band'],
  queryFn: ({ signal }) => ask<YearBandView>('/api/year-band', { signal }),
});
export const groupsQuery = queryOptions({
  queryKey: ['groups'],
  queryFn: ({ signal }) => ask<GroupView[]>('/api/groups', { signal }),
});
/** Held against the book as it is at this moment. */
export const copyLossQuery = (name: string) =>
  queryOptions({
    queryKey: ['copies', name, 'loss'],
    queryFn: ({ signal }) => ask<CopyLossView>(`/api/copies/${name}/loss`, { signal }),
    gcTime: 0,
  });
export const copiesQuery = queryOptions({
  queryKey: ['copies'],
  queryFn: ({ signal }) => ask<CopiesView>('/api/copies', { signal }),
  refetchInterval: ({ state }) => (state.data?.second?.isUnderWay ? 1_000 : false),
});
export const householdQuery = queryOptions({
  queryKey: ['household'],
  queryFn: ({ signal }) => ask<HouseholdView>('/api/household', { signal }),
});
export const peopleQuery = queryOptions({
  queryKey: ['people'],
  queryFn: ({ signal }) => ask<PeopleView>('/api/household/people', { signal }),
});
export const identifiersQuery = queryOptions({
  queryKey: ['identifiers'],
  queryFn: async ({ signal }): Promise<IdentifierIndexRow[]> =>
    identifierRows(await ask<WearerView[]>('/api/identifiers', { signal })),
});
export const rosterQuery = queryOptions({
  queryKey: ['roster'],
  queryFn: ({ signal }) => ask<RosterView>('/api/roster', { signal }),
});
export const jobsQuery = queryOptions({
  queryKey: ['jobs'],
  queryFn: ({ signal }) => ask<JobView[]>('/api/jobs', { signal }),
});
export const jobQuery = (id: string) =>
  queryOptions({
    queryKey: ['job', id],
    queryFn: async ({ signal }): Promise<JobRead> => {
      const askedAt = Date.now();
      return { ...(await ask<JobEntries>(`/api/jobs/${id}`, { signal })), askedAt };
    },
  });
export const animalQuery = (id: string) =>
  queryOptions({
    queryKey: ['animal', id],
    queryFn: ({ signal }) => ask<AnimalView>(`/api/animals/${id}`, { signal }),
  });
export const withheldQuery = (id: string, on: string) =>
  queryOptions({
    queryKey: ['animal', id, 'withheld', on],
    queryFn: ({ signal }) => ask<WithheldOfAnimal[]>(withQuery(`/api/animals/${id}/withheld`, { on }), { signal }),
  });
export const strainsQuery = queryOptions({
  queryKey: ['strains'],
  queryFn: ({ signal }) => ask<string[]>('/api/strains', { signal }),
});
export const mentionsQuery = (words: string) =>
  queryOptions({
    queryKey: ['mentions', words],
    queryFn: ({ signal }) => ask<MentionView[]>(withQuery('/api/mentions', { words }), { signal }),
  });
export const animalsQuery = (query: AnimalQuery) =>
  infiniteQueryOptions({
    queryKey: ['animals', query],
    queryFn: ({ signal, pageParam }) =>
      ask<AnimalPage>(withQuery('/api/animals', { ...query, cursor: pageParam, limit: 200 }), { signal }),
    initialPageParam: '',
    getNextPageParam: (page) => page.nextCursor,
  });
export const tagsQuery = queryOptions({
  queryKey: ['tags'],
  queryFn: ({ signal }) => ask<TagsView>('/api/tags', { signal }),
});
export const remediesQuery = queryOptions({
  queryKey: ['remedies'],
  queryFn: ({ signal }) => ask<RemediesView>('/api/remedies', { signal }),
});
export const registerQuery = (query: RegisterQuery) =>
  queryOptions({
    queryKey: ['register', query],
    queryFn: ({ signal }) => ask<RegisterView>(withQuery('/api/remedies/register', query), { signal }),
  });
export const seasonQuery = queryOptions({
  queryKey: ['season'],
  queryFn: ({ signal }) => ask<SeasonView>('/api/season', { signal }),
});
export const conditionQuery = (query: ConditionQuery) =>
  queryOptions({
    queryKey: ['condition', query],
    queryFn: ({ signal }) => ask<ConditionView>(withQuery('/api/condition', query), { signal }),
  });
export const carryingQuery = (query: CarryingQuery) =>
  queryOptions({
    queryKey: ['carrying', query],
    queryFn: ({ signal }) => ask<CarryingView>(withQuery('/api/carrying', query), { signal }),
  });
export const carryingFemaleQuery = (id: string) =>
  queryOptions({
    queryKey: ['carrying-female', id],
    queryFn: ({ signal }) => ask<CarryingFemaleView>(`/api/carrying/female/${id}`, { signal }),
  });
export const birthListQuery = (species: string) =>
  queryOptions({
    queryKey: ['birth-list', species],
    queryFn: ({ signal }) => ask<BirthListView>(withQuery('/api/births/list', { species }), { signal }),
  });
export const birthsQuery = (species: string) =>
  queryOptions({
    queryKey: ['births', species],
    queryFn: ({ signal }) => ask<BirthsView>(withQuery('/api/births', { species }), { signal }),
  });
/** A dam, with what speaks against a birth as it is typed so far. */
export const damQuery = (id: string, birth: DamQuery) =>
  queryOptions({
    queryKey: ['dam', id, birth],
    queryFn: ({ signal }) => ask<DamView>(withQuery(`/api/births/dam/${id}`, birth), { signal }),
  });
export const rearingQuery = (species: Species) =>
  queryOptions({
    queryKey: ['rearing', species],
    queryFn: ({ signal }) => ask<RearingView>(withQuery('/api/rearing', { species }), { signal }),
  });
export const littersQuery = (query: LittersQuery) =>
  queryOptions({
    queryKey: ['litters', query],
    queryFn: ({ signal }) => ask<LittersView>(withQuery('/api/rearing/litters', query), { signal }),
  });
export const lifeQuery = (id: string) =>
  queryOptions({
    queryKey: ['life', id],
    queryFn: ({ signal }) => ask<LifeView>(`/api/rearing/life/${id}`, { signal }),
  });
export const tubesOutQuery = queryOptions({
  queryKey: ['tubes-out'],
  queryFn: ({ signal }) => ask<TubeOutView[]>('/api/carrying/tubes', { signal }),
});
export const ageingQuery = queryOptions({
  queryKey: ['ageing'],
  queryFn: ({ signal }) => ask<AgeingView[]>('/api/carrying/ageing', { signal }),
});
export const matingQuery = (query: MatingQuery) =>
  queryOptions({
    queryKey: ['mating', query],
    queryFn: ({ signal }) => ask<MatingView>(withQuery('/api/mating', query), { signal }),
  });
export const matingRecordQuery = (query: MatingQuery) =>
  queryOptions({
    queryKey: ['mating-record', query],
    queryFn: ({ signal }) => ask<MatingRecordView>(withQuery('/api/mating/record', query), { signal }),
  });
export const pairingQuery = (query: MatingQuery) =>
  queryOptions({
    queryKey: ['pairing', query],
    queryFn: ({ signal }) => ask<PairingView>(withQuery('/api/mating/pairing', query), { signal }),
  });
export const pairQuery = (femaleId: string, maleId: string) =>
  queryOptions({
    queryKey: ['pair', femaleId, maleId],
    queryFn: ({ signal }) => ask<PairView>(withQuery('/api/mating/pair', { femaleId, maleId }), { signal }),
  });
export const pedigreeQuery = (id: string, generations: number) =>
  queryOptions({
    queryKey: ['pedigree', id, generations],
    queryFn: ({ signal }) => ask<PedigreeView>(withQuery(`/api/mating/pedigree/${id}`, { generations }), { signal }),
  });
export const scorersQuery = queryOptions({
  queryKey: ['scorers'],
  queryFn: ({ signal }) => ask<ScorersView>('/api/condition/scorers', { signal }),
});
export const drillsQuery = queryOptions({
  queryKey: ['drills'],
  queryFn: ({ signal }) => ask<DrillsView>('/api/condition/drills', { signal }),
});
