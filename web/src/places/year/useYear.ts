import { useQuery } from '@tanstack/react-query';
import { planInBook, planOf, resourcesOf, type PlanView, type SeasonView } from '@yaylak/contract';
import { dayOf, layOut, planClashes, SPECIES_TABLE, type Clash, type LaidOut, type YearPlan } from '@yaylak/core';
import { useMemo, useState } from 'react';
import { holdingQuery, seasonQuery } from '../../api/queries';
import { NO_RESOURCES } from '../../words/season';

/** A plan while it is being moved, before it is let go. */
export interface Moving {
  readonly planId: string;
  readonly plan: YearPlan;
}

export interface PlanOnPage extends LaidOut {
  readonly view: PlanView;
  readonly plan: YearPlan;
}

/** The plans laid out with what is being moved, and what does not fit. */
export function useYear(): {
  readonly season: ReturnType<typeof useQuery<SeasonView>>;
  readonly plans: readonly PlanOnPage[];
  readonly clashes: readonly Clash[];
  readonly moving: Moving | undefined;
  readonly setMoving: (moving: Moving | undefined) => void;
} {
  const season = useQuery(seasonQuery);
  const { data: holding } = useQuery(holdingQuery);
  const [moving, setMoving] = useState<Moving>();
  const species = holding?.species ?? SPECIES_TABLE;
  const views = season.data?.plans;
  const plans = useMemo(
    () =>
      (views ?? []).map((view): PlanOnPage => {
        const plan = moving?.planId === view.id ? moving.plan : planOf(view.facts);
        return { view, plan, ...layOut(plan, species[plan.species]) };
      }),
    [views, moving, species],
  );
  const clashes = useMemo(
    () =>
      planClashes(
        plans.map(({ view, plan }) => ({ ...planInBook(view), plan })),
        { ...resourcesOf(holding?.resources ?? NO_RESOURCES), weekStart: holding?.weekStart ?? 'monday' },
        (s) => species[s],
        dayOf(season.data?.on ?? '2000-01-01'),
      ),
    [plans, holding?.resources, holding?.weekStart, species, season.data?.on],
  );
  return { season, plans, clashes, moving, setMoving };
}
