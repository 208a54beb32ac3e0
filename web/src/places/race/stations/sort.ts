import { dayOf, halfWidth80, readingSd, suggestGate, type GateSuggestion, type SortRule } from '@yaylak/core';
import type { GateChoice } from '@yaylak/contract';
import type { Draft } from '../draft';
import { gainTo } from '../jobFigures';
import type { AtHand, StationRules } from './atHand';
import { failedAt } from './look';
import { trueKg } from './weigh';

export interface SuggestedGate extends GateSuggestion {
  readonly choice: GateChoice;
}

/** The gate the job's rule suggests for the animal at hand, once its figures are there. */
export function suggestedGate(draft: Draft, at: AtHand): SuggestedGate | undefined {
  const rule = at.job.settings.sort;
  if (!rule || (rule.by !== 'standards' && rule.line === undefined)) return undefined;
  const kg = trueKg(draft, at);
  const reading = kg === undefined ? undefined : { on: dayOf(at.job.on), kg, method: 'scale' as const };
  const suggestion = suggestGate(
    rule as SortRule,
    {
      kg,
      gain: at.animal && reading && gainTo(at.animal, reading, at.settings),
      failed: failedAt(draft, at).map((s) => s.name),
      points: at.animal?.points ?? undefined,
    },
    kg === undefined ? 0 : halfWidth80(readingSd(kg, at.settings)),
  );
  const choice = suggestion && at.job.gates.find((g) => g.key === suggestion.gate);
  return suggestion && choice ? { ...suggestion, choice } : undefined;
}

/** The gate it leaves by: chosen, or else suggested. */
export const gateOf = (draft: Draft, at: AtHand): GateChoice | undefined =>
  draft.gate === undefined ? suggestedGate(draft, at)?.choice : at.job.gates.find((g) => g.name === draft.gate);

export const sort: StationRules = {
  problems: (draft, at) =>
    gateOf(draft, at) ? [] : [{ kind: 'refuse', message: 'Choose a gate: ← ↓ →, then Enter.' }],
  // The gate itself stands in the passage; what it leads to is a move.
  facts(draft, at) {
    const groupId = gateOf(draft, at)?.groupId;
    return groupId === undefined ? [] : [{ type: 'move', groupId }];
  },
};
