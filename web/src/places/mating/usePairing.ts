import type { PairingView } from '@yaylak/contract';
import { NO_MALE } from '@yaylak/core';
import { useState } from 'react';
import { makePlan, stopPlan } from './plannerClient';

/** What a person sets before a plan is made. */
export interface PairingWish {
  /** 0 to 1: how much kinship weighs beside merit. */
  readonly kinshipWeight: number;
  readonly isFewest: boolean;
  /** Males' room where it was changed, by id. */
  readonly capacities: Readonly<Record<string, number>>;
  /** The male a female is locked to, by id. */
  readonly locked: Readonly<Record<string, string>>;
}

export type PlanState =
  | { readonly kind: 'none' }
  | { readonly kind: 'working'; readonly share: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string }
  /** Male of each female by id; those without one are missing. */
  | { readonly kind: 'made'; readonly maleOf: Readonly<Record<string, string>> };

/** Makes the plan of who goes to whom, in a worker. */
export function usePairing(view: PairingView) {
  const [state, setState] = useState<PlanState>({ kind: 'none' });
  const plan = async (wish: PairingWish): Promise<void> => {
    setState({ kind: 'working', share: 0 });
    try {
      const found = await makePlan(askedOf(view, wish), (share) => setState({ kind: 'working', share }));
      if (found === 'stopped') return setState({ kind: 'stopped' });
      setState({
        kind: 'made',
        maleOf: Object.fromEntries(
          found.maleOf.flatMap((m, f) => {
            const [female, male] = [view.females[f], view.males[m]];
            return female && male ? [[female.tag.animalId, male.tag.animalId]] : [];
          }),
        ),
      });
    } catch (error) {
      setState({ kind: 'failed', message: (error as Error).message });
    }
  };
  return { state, plan, stop: stopPlan, clear: () => setState({ kind: 'none' }) };
}

/** The plan's question in plain arrays. */
export function askedOf(view: PairingView, { kinshipWeight, isFewest, capacities, locked }: PairingWish) {
  const place = new Map(view.males.map((m, i) => [m.tag.animalId, i]));
  return {
    females: view.females.length,
    males: view.males.length,
    inbreeding: view.inbreeding,
    forbidden: view.refusals.map((r, i) => r !== null || view.males[i % view.males.length]?.isReady === false),
    merit: view.males.map((m) => m.merit),
    capacities: view.males.map((m) => capacities[m.tag.animalId] ?? m.capacity),
    kinshipWeight,
    locked: view.females.map((f) => place.get(locked[f.tag.animalId] ?? '') ?? NO_MALE),
    isFewest,
  };
}

export interface PairingFigures {
  readonly served: number;
  readonly meanInbreeding: number | undefined;
  /** Pairs that are not to be. */
  readonly forbidden: number;
}

/** What a way of pairing comes to. @param malesOf places of the males of each female; the worst counts */
export function figuresOf(view: PairingView, malesOf: readonly (readonly number[])[]): PairingFigures {
  const n = view.males.length;
  const worst = malesOf.flatMap((males, f) =>
    males.length === 0 ? [] : [Math.max(...males.map((m) => view.inbreeding[f * n + m] ?? 0))],
  );
  return {
    served: worst.length,
    meanInbreeding: worst.length === 0 ? undefined : worst.reduce((s, v) => s + v, 0) / worst.length,
    forbidden: malesOf.filter((males, f) => males.some((m) => view.refusals[f * n + m] !== null)).length,
  };
}
