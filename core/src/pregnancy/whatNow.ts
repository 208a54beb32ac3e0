import { updated } from './probability';

export const WAYS_ON = ['serve-again', 'test-again', 'sell', 'keep'] as const;
/** What can be done with a female that is empty or doubtful. */
export type WayOn = (typeof WAYS_ON)[number];

/** What the choice hangs on; money in one unit, such as hundredths. */
export interface WhatNowCosts {
  /** Keeping an empty one until the next mating's result is known. */
  readonly keep: number;
  /** Lost when one in young is sold. */
  readonly lostIfSold: number;
  readonly test: { readonly price: number; readonly sensitivity: number; readonly specificity: number } | undefined;
  /** Undefined when the season is over. */
  readonly serve: { readonly price: number; readonly takes: number; readonly lateYoung: number } | undefined;
}

export interface WhatNow {
  /** The ways there are with their expected cost, the cheapest first. */
  readonly ways: readonly { readonly way: WayOn; readonly cost: number }[];
  /** Selling pays only while the probability of carrying is under this; undefined where keeping costs nothing. */
  readonly breakEven: number | undefined;
}

/**
 * Expected cost of each way on for a female that carries with probability q; what is right costs nothing.
 * keep = (1 - q) K; sell = q L; test again = its price + for each outcome the cheaper of keep and sell after Bayes'
 * rule; serve again = its price + (1 - q) (t x what late young lose + (1 - t) K). Keeping and selling cost the same at
 * q = K / (K + L).
 */
export function whatNow(q: number, costs: WhatNowCosts): WhatNow {
  const { keep, lostIfSold, test, serve } = costs;
  const keepAt = (p: number): number => (1 - p) * keep;
  const sellAt = (p: number): number => p * lostIfSold;
  const ways: { way: WayOn; cost: number }[] = [
    { way: 'keep', cost: keepAt(q) },
    { way: 'sell', cost: sellAt(q) },
  ];
  if (test) {
    const { sensitivity: se, specificity: sp, price } = test;
    const positive = q * se + (1 - q) * (1 - sp);
    const ifPositive = updated(q, se, 1 - sp);
    const ifNegative = updated(q, 1 - se, sp);
    const best = (p: number): number => Math.min(keepAt(p), sellAt(p));
    ways.push({ way: 'test-again', cost: price + positive * best(ifPositive) + (1 - positive) * best(ifNegative) });
  }
  if (serve)
    ways.push({
      way: 'serve-again',
      cost: serve.price + (1 - q) * (serve.takes * serve.lateYoung + (1 - serve.takes) * keep),
    });
  return {
    ways: ways.sort((a, b) => a.cost - b.cost || WAYS_ON.indexOf(a.way) - WAYS_ON.indexOf(b.way)),
    breakEven: keep + lostIfSold > 0 ? keep / (keep + lostIfSold) : undefined,
  };
}

export const WHAT_NOW_INPUTS = ['probability', 'keep', 'lostIfSold', 'testPrice', 'takes', 'lateYoung'] as const;
export type WhatNowInput = (typeof WHAT_NOW_INPUTS)[number];

export interface Sensitivity {
  readonly input: WhatNowInput;
  /** With the input halved and with it doubled (a probability: its odds). */
  readonly low: SensitivityEnd;
  readonly high: SensitivityEnd;
}
export interface SensitivityEnd {
  readonly value: number;
  readonly best: WayOn;
  /** What the way suggested now then costs over the cheapest other; under 0 it is still the cheapest. */
  readonly margin: number;
}

/**
 * How far the suggestion hangs on each input: each is halved and doubled by itself (a probability by its odds), the
 * widest swing first. Inputs nothing hangs on are left out.
 */
export function sensitivity(q: number, costs: WhatNowCosts): Sensitivity[] {
  const suggested = whatNow(q, costs).ways[0]?.way;
  if (suggested === undefined) return [];
  const end = (input: WhatNowInput, by: number): SensitivityEnd | undefined => {
    const changed = scaled(q, costs, input, by);
    if (!changed) return undefined;
    const { ways } = whatNow(changed.q, changed.costs);
    const own = ways.find((w) => w.way === suggested)?.cost ?? 0;
    const other = ways.find((w) => w.way !== suggested)?.cost ?? 0;
    return { value: changed.value, best: ways[0]?.way ?? suggested, margin: own - other };
  };
  return WHAT_NOW_INPUTS.flatMap((input) => {
    const [low, high] = [end(input, 0.5), end(input, 2)];
    return low && high && Math.abs(low.margin - high.margin) > 1e-9 ? [{ input, low, high }] : [];
  }).sort((a, b) => Math.abs(b.high.margin - b.low.margin) - Math.abs(a.high.margin - a.low.margin));
}

function scaled(
  q: number,
  costs: WhatNowCosts,
  input: WhatNowInput,
  by: number,
): { readonly q: number; readonly costs: WhatNowCosts; readonly value: number } | undefined {
  const odds = (p: number): number => (by * p) / (by * p + 1 - p);
  const { test, serve } = costs;
  switch (input) {
    case 'probability':
      return { q: odds(q), costs, value: odds(q) };
    case 'keep':
    case 'lostIfSold':
      return { q, costs: { ...costs, [input]: by * costs[input] }, value: by * costs[input] };
    case 'testPrice':
      return test && { q, costs: { ...costs, test: { ...test, price: by * test.price } }, value: by * test.price };
    case 'takes':
      return (
        serve && { q, costs: { ...costs, serve: { ...serve, takes: odds(serve.takes) } }, value: odds(serve.takes) }
      );
    case 'lateYoung':
      return (
        serve && {
          q,
          costs: { ...costs, serve: { ...serve, lateYoung: by * serve.lateYoung } },
          value: by * serve.lateYoung,
        }
      );
  }
}
