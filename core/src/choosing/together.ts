import { seededRandom } from '../statistics';

/** One that may be kept. */
export interface Together {
  readonly id: string;
  readonly index: number;
  /** Undefined where the sire is not known: it is not capped. */
  readonly sireId: string | undefined;
}

export interface TogetherQuestion {
  /** Best first. */
  readonly candidates: readonly Together[];
  /** Kinship f of each with each, row by row: half the relationship. */
  readonly kinship: Float64Array;
  /** Mean kinship of each with the mates that stay; undefined where none do. */
  readonly withMates: Float64Array | undefined;
  readonly keep: number;
  /** Points of index that 1 % of kinship costs. */
  readonly pointsPerPercent: number;
  /** At most so many of one sire. */
  readonly sireCap?: number | undefined;
  readonly seed?: number;
}

export type TogetherAnswer =
  | { readonly kind: 'not-possible'; readonly most: number }
  | {
      readonly kind: 'chosen';
      /** Places among the candidates, in order. */
      readonly chosen: readonly number[];
      readonly meanIndex: number;
      /** Over the distinct pairs of the chosen; undefined of fewer than two. */
      readonly amongThem: number | undefined;
      /** The inbreeding expected of the next crop. */
      readonly withMates: number | undefined;
      readonly isExact: boolean;
    };

/** Up to so many candidates every choice is weighed. */
export const EXACT_MOST = 25;
const STARTS = 20;
/** Gains of rounding alone are no gain. */
const TINY = 1e-9;

/**
 * The best to keep together: mean index - w K, with K the mean of two means, kinship over the distinct pairs of the
 * chosen and with the mates that stay; where one is missing, the other alone. Exact by branch and bound up to 25
 * candidates; above that pairwise exchange, from the best and from 20 seeded starts, until none helps. About
 * O(n N) an exchange; kinship is n x n.
 */
export function chooseTogether(question: TogetherQuestion): TogetherAnswer {
  const { candidates, withMates, sireCap } = question;
  const most = mostWithin(candidates, sireCap);
  if (question.keep > most) return { kind: 'not-possible', most };
  if (question.keep === 0)
    return { kind: 'chosen', chosen: [], meanIndex: 0, amongThem: undefined, withMates: undefined, isExact: true };
  const sum = sumOf(question);
  const isExact = candidates.length <= EXACT_MOST;
  const chosen = (isExact ? weighAll(question, sum) : exchange(question, sum)).sort((a, b) => a - b);
  const mean = (of: (i: number) => number): number => chosen.reduce((s, i) => s + of(i), 0) / chosen.length;
  return {
    kind: 'chosen',
    chosen,
    meanIndex: mean((i) => (candidates[i] as Together).index),
    amongThem: amongThem(question, chosen),
    withMates: withMates && mean((i) => withMates[i] as number),
    isExact,
  };
}

/** How many can be kept at the most under a cap on sires. */
function mostWithin(candidates: readonly Together[], sireCap: number | undefined): number {
  if (sireCap === undefined) return candidates.length;
  const bySire = new Map<string, number>();
  let free = 0;
  for (const { sireId } of candidates) {
    if (sireId === undefined) free++;
    else bySire.set(sireId, (bySire.get(sireId) ?? 0) + 1);
  }
  return free + [...bySire.values()].reduce((s, n) => s + Math.min(n, sireCap), 0);
}

function amongThem({ candidates, kinship }: TogetherQuestion, chosen: readonly number[]): number | undefined {
  if (chosen.length < 2) return undefined;
  let sum = 0;
  for (let a = 0; a < chosen.length; a++)
    for (let b = 0; b < a; b++)
      sum += kinship[(chosen[a] as number) * candidates.length + (chosen[b] as number)] as number;
  return sum / ((chosen.length * (chosen.length - 1)) / 2);
}

/** The objective as a sum: what each brings by itself, less what each pair costs. */
interface Sum {
  readonly own: Float64Array;
  readonly perPair: number;
}

function sumOf({ candidates, withMates, keep, pointsPerPercent }: TogetherQuestion): Sum {
  const w = 100 * pointsPerPercent;
  const hasPairs = keep > 1;
  const half = hasPairs && withMates ? w / 2 : w;
  return {
    own: Float64Array.from(candidates, (c, i) => (c.index - (withMates ? half * (withMates[i] as number) : 0)) / keep),
    perPair: hasPairs ? half / ((keep * (keep - 1)) / 2) : 0,
  };
}

/** Sires as numbers, each with what is left of its cap. */
function sires({ candidates, sireCap }: TogetherQuestion): { readonly of: Int32Array; readonly left: number[] } {
  const known = new Map<string, number>();
  const of = Int32Array.from(candidates, ({ sireId }) => {
    if (sireId === undefined || sireCap === undefined) return -1;
    const at = known.get(sireId) ?? known.size;
    known.set(sireId, at);
    return at;
  });
  return { of, left: Array.from({ length: known.size }, () => sireCap ?? 0) };
}

/** Branch and bound; the bound leaves out what the open ones cost among themselves, which is never below 0. */
function weighAll(question: TogetherQuestion, { own, perPair }: Sum): number[] {
  const { candidates, kinship, keep } = question;
  const n = candidates.length;
  const { of, left } = sires(question);
  // What each brings when those chosen so far stand; it only falls as more are chosen.
  const worth = Float64Array.from(own);
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => (own[b] as number) - (own[a] as number));
  const chosen: number[] = [];
  let best: readonly number[] = [];
  let bestSum = -Infinity;
  const bound = (from: number): number => {
    const open = order.slice(from).map((i) => worth[i] as number);
    return open
      .sort((a, b) => b - a)
      .slice(0, keep - chosen.length)
      .reduce((s, v) => s + v, 0);
  };
  const add = (i: number, sign: 1 | -1): void => {
    for (let j = 0; j < n; j++) worth[j] = (worth[j] as number) - sign * perPair * (kinship[i * n + j] as number);
    const sire = of[i] as number;
    if (sire >= 0) left[sire] = (left[sire] as number) - sign;
  };
  const walk = (from: number, sum: number): void => {
    if (chosen.length === keep) {
      if (sum > bestSum + TINY) {
        bestSum = sum;
        best = [...chosen];
      }
      return;
    }
    if (n - from < keep - chosen.length || sum + bound(from) <= bestSum + TINY) return;
    const i = order[from] as number;
    const sire = of[i] as number;
    if (sire < 0 || (left[sire] as number) > 0) {
      const brings = worth[i] as number;
      chosen.push(i);
      add(i, 1);
      walk(from + 1, sum + brings);
      add(i, -1);
      chosen.pop();
    }
    walk(from + 1, sum);
  };
  walk(0, 0);
  return [...best];
}

function exchange(question: TogetherQuestion, { own, perPair }: Sum): number[] {
  const { candidates, kinship, keep, seed = 1 } = question;
  const n = candidates.length;
  const random = seededRandom(seed).next;
  const { of, left: capOf } = sires(question);
  const closest = perPair * closestKin(kinship, n);
  let best: number[] = [];
  let bestSum = -Infinity;
  for (let start = 0; start <= STARTS; start++) {
    const order = Array.from({ length: n }, (_, i) => i);
    if (start > 0) shuffleInPlace(order, random);
    const left = [...capOf];
    const isIn = new Uint8Array(n);
    const among = new Float64Array(n);
    const put = (i: number, sign: 1 | -1): void => {
      isIn[i] = sign === 1 ? 1 : 0;
      const sire = of[i] as number;
      if (sire >= 0) left[sire] = (left[sire] as number) - sign;
      for (let j = 0; j < n; j++) among[j] = (among[j] as number) + sign * (kinship[i * n + j] as number);
    };
    let count = 0;
    for (const i of order) {
      if (count === keep) break;
      if ((of[i] as number) >= 0 && (left[of[i] as number] as number) <= 0) continue;
      put(i, 1);
      count++;
    }
    for (;;) {
      let gain = TINY;
      let out = -1;
      let into = -1;
      // What each would bring if it came in beside all that are in, and what each that is in brings now.
      const brings = own.map((value, i) => value - perPair * (among[i] as number));
      const inside = order
        .filter((i) => isIn[i] === 1)
        .map((i) => ({ i, worth: (brings[i] as number) + perPair * (kinship[i * n + i] as number) }))
        .sort((x, y) => x.worth - y.worth);
      const outside = order.filter((i) => isIn[i] === 0).sort((x, y) => (brings[y] as number) - (brings[x] as number));
      for (const { i: o, worth: lost } of inside) {
        for (const i of outside) {
          const won = brings[i] as number;
          // In this order no later one can gain more: kinship with the one that goes is the most it may win back.
          if (won + closest - lost <= gain) break;
          const sire = of[i] as number;
          if (sire >= 0 && sire !== of[o] && (left[sire] as number) <= 0) continue;
          const gained = won + perPair * (kinship[i * n + o] as number) - lost;
          if (gained > gain) {
            gain = gained;
            out = o;
            into = i;
          }
        }
      }
      if (out < 0) break;
      put(out, -1);
      put(into, 1);
    }
    const chosen = order.filter((i) => isIn[i] === 1);
    let sum = 0;
    for (const i of chosen)
      sum += (own[i] as number) - (perPair / 2) * ((among[i] as number) - (kinship[i * n + i] as number));
    if (sum > bestSum + TINY) {
      bestSum = sum;
      best = chosen;
    }
  }
  return best;
}

/** The highest kinship of two of them. */
function closestKin(kinship: Float64Array, n: number): number {
  let most = 0;
  for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) most = Math.max(most, kinship[i * n + j] as number);
  return most;
}

function shuffleInPlace(list: number[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j] as number, list[i] as number];
  }
}

/** One point of the curve. */
export interface TogetherPoint {
  readonly pointsPerPercent: number;
  readonly answer: Extract<TogetherAnswer, { readonly kind: 'chosen' }>;
}

/** Settings the curve is drawn over: points that 1 % of kinship costs. */
export const CURVE_POINTS: readonly number[] = [0, 0.25, 0.5, 1, 1.5, 2, 3, 4, 6, 8, 12, 16, 24];

/** The choices along the curve of merit against kinship; the same choice twice running stands once, at its first. */
export function togetherCurve(
  question: Omit<TogetherQuestion, 'pointsPerPercent'>,
  onPoint?: (done: number, of: number) => void,
): TogetherPoint[] | Extract<TogetherAnswer, { readonly kind: 'not-possible' }> {
  const points: TogetherPoint[] = [];
  for (const [i, pointsPerPercent] of CURVE_POINTS.entries()) {
    const answer = chooseTogether({ ...question, pointsPerPercent });
    if (answer.kind === 'not-possible') return answer;
    const before = points.at(-1)?.answer.chosen;
    if (!before || before.some((c, k) => c !== answer.chosen[k])) points.push({ pointsPerPercent, answer });
    onPoint?.(i + 1, CURVE_POINTS.length);
  }
  return points;
}
