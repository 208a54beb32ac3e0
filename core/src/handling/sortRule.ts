import type { Decision } from '../choosing';
import type { KnownGain } from '../growth';
import { judgeGain } from '../growth';
import type { BoxToday } from '../selling';
import type { Kilograms } from '../units';

export const GATE_KEYS = ['left', 'down', 'right'] as const;
export type GateKey = (typeof GATE_KEYS)[number];

/** What a gate is suggested by. Weights in kilograms, gains in kilograms a day. */
export type SortRule =
  | { readonly by: 'weight'; readonly line: number; readonly above: GateKey; readonly below: GateKey }
  | { readonly by: 'gain'; readonly line: number; readonly above: GateKey; readonly below: GateKey }
  /** Fails a go-or-no-go standard, or passes them all. */
  | { readonly by: 'standards'; readonly above: GateKey; readonly below: GateKey }
  /** Whether it lies in what an outlet wants, as it was just weighed and felt. */
  | { readonly by: 'ready'; readonly outletId: string; readonly above: GateKey; readonly below: GateKey }
  /** The choice written down, or else points of the ranking last drawn up; the second string goes between, where there is a gate. */
  | {
      readonly by: 'index';
      readonly line: number;
      readonly above: GateKey;
      readonly below: GateKey;
      readonly between?: GateKey | undefined;
    };

/** Whether a rule needs a line that a figure lies over or under. */
export const goesByLine = (by: SortRule['by']): boolean => by !== 'standards' && by !== 'ready';

export interface Sorted {
  readonly kg: Kilograms | undefined;
  readonly gain: KnownGain | undefined;
  readonly failed: readonly string[];
  readonly points: number | undefined;
  readonly pointsError?: number | undefined;
  /** Written down when it was last chosen among its like. */
  readonly decision?: Decision | undefined;
  /** What the outlet of the rule says to it; undefined before it was weighed and felt. */
  readonly box?: BoxToday | undefined;
}

export interface GateSuggestion {
  readonly gate: GateKey;
  readonly because:
    | { readonly kind: 'weight'; readonly kg: Kilograms; readonly line: number }
    | { readonly kind: 'gain'; readonly gain: KnownGain; readonly line: number }
    | { readonly kind: 'standards'; readonly failed: readonly string[] }
    | { readonly kind: 'decision'; readonly decision: Decision }
    | { readonly kind: 'ready'; readonly box: BoxToday }
    | { readonly kind: 'index'; readonly points: number; readonly standardError: number; readonly line: number };
  /** The figure may as well lie on the other side of the line. */
  readonly isNear: boolean;
}

/**
 * The gate a rule suggests. At the line counts as above it. A weight within its own reading error of the line, a gain
 * whose 80 % interval spans it, or points within their standard error of it, is suggested all the same and said to be
 * near. One that fails a standard goes below whatever its points or the choice are.
 * @param halfWidthKg half the 80 % interval of one reading, kilograms
 * @returns undefined where the figure the rule goes by is not there
 */
export function suggestGate(rule: SortRule, animal: Sorted, halfWidthKg: Kilograms): GateSuggestion | undefined {
  const gateFor = (isAbove: boolean): GateKey => (isAbove ? rule.above : rule.below);
  switch (rule.by) {
    case 'weight': {
      const { kg } = animal;
      if (kg === undefined) return undefined;
      const isNear = Math.abs(kg - rule.line) < halfWidthKg;
      return { gate: gateFor(kg >= rule.line), because: { kind: 'weight', kg, line: rule.line }, isNear };
    }
    case 'gain': {
      const { gain } = animal;
      if (!gain) return undefined;
      const isNear = judgeGain(gain, rule.line) === 'too-soon';
      return { gate: gateFor(gain.kgPerDay >= rule.line), because: { kind: 'gain', gain, line: rule.line }, isNear };
    }
    case 'standards':
      return {
        gate: gateFor(animal.failed.length === 0),
        because: { kind: 'standards', failed: animal.failed },
        isNear: false,
      };
    case 'ready': {
      const { box } = animal;
      return box && { gate: gateFor(box.isReady), because: { kind: 'ready', box }, isNear: false };
    }
    case 'index': {
      const { points, pointsError: standardError = 0, decision, failed } = animal;
      if (failed.length > 0) return { gate: rule.below, because: { kind: 'standards', failed }, isNear: false };
      if (decision !== undefined) {
        return { gate: gatesOf(rule)[decision], because: { kind: 'decision', decision }, isNear: false };
      }
      if (points === undefined) return undefined;
      const because = { kind: 'index', points, standardError, line: rule.line } as const;
      const isNear = Math.abs(points - rule.line) < standardError;
      return { gate: gateFor(points >= rule.line), because, isNear };
    }
  }
}

/** The gate of each decision, where a rule follows the choice; without one between, the second string goes with the sold. */
const gatesOf = ({
  above,
  between,
  below,
}: Extract<SortRule, { readonly by: 'index' }>): Readonly<Record<Decision, GateKey>> => ({
  keep: above,
  second: between ?? below,
  sell: below,
  cull: below,
});

/** The decision that a gate is for, where a rule follows the choice. */
export function decisionOfGate(
  { by, above, between, below }: Pick<SortRule, 'by' | 'above' | 'below'> & { readonly between?: GateKey | undefined },
  gate: GateKey,
): Decision | undefined {
  if (by !== 'index') return undefined;
  return gate === above ? 'keep' : gate === between ? 'second' : gate === below ? 'sell' : undefined;
}
