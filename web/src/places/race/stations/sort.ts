import {
  dayOf,
  decisionOfGate,
  goesByLine,
  halfWidth80,
  isoOf,
  readingSd,
  suggestGate,
  withdrawalEnd,
  type GateSuggestion,
  type SortRule,
} from '@yaylak/core';
import type { DecisionMarksSetting, GateChoice, JobFacts } from '@yaylak/contract';
import type { Draft } from '../draft';
import { gainTo } from '../jobFigures';
import type { AtHand, Problem, StationRules } from './atHand';
import { outletsToday } from './finish';
import { failedAt, failedSinceChosen, isLookedOver } from './look';
import { plannedTreatments } from './treat';
import { trueKg } from './weigh';
import { heldText } from '../../../words/withheld';
import { say } from '@yaylak/contract';

export interface SuggestedGate extends GateSuggestion {
  readonly choice: GateChoice;
}

/** The gate the job's rule suggests for the animal at hand, once its figures are there. */
export function suggestedGate(draft: Draft, at: AtHand): SuggestedGate | undefined {
  const rule = at.job.settings.sort;
  if (!rule || (goesByLine(rule.by) && rule.line === undefined)) return undefined;
  const kg = trueKg(draft, at);
  const failed = rule.by === 'index' ? failedSinceChosen(draft, at) : failedAt(draft, at);
  // What was not looked at is not known to pass.
  if (rule.by === 'standards' && failed.length === 0 && !isLookedOver(draft, at)) return undefined;
  const reading = kg === undefined ? undefined : { on: dayOf(at.job.on), kg, method: 'scale' as const };
  const suggestion = suggestGate(
    withBetween(rule as SortRule, at.job.gates),
    {
      kg,
      gain: at.animal && reading && gainTo(at.animal, reading, at.settings),
      failed,
      points: at.animal?.points ?? undefined,
      pointsError: at.animal?.pointsError,
      decision: at.animal?.chosen,
      box: rule.by === 'ready' ? outletsToday(draft, at).find((o) => o.id === rule.outletId)?.box : undefined,
    },
    kg === undefined ? 0 : halfWidth80(readingSd(kg, at.settings)),
  );
  const choice = suggestion && at.job.gates.find((g) => g.key === suggestion.gate);
  return suggestion && choice ? { ...suggestion, choice } : undefined;
}

/** The second string goes by the gate that is neither the one above nor the one below. */
const withBetween = (rule: SortRule, gates: readonly GateChoice[]): SortRule =>
  rule.by === 'index'
    ? { ...rule, between: gates.find((g) => g.key !== rule.above && g.key !== rule.below)?.key }
    : rule;

/** Meat of the animal at hand that is withheld, what is given in this job among it: whichever ends last. */
export function meatHeld(draft: Draft, at: AtHand): { readonly until: string; readonly product: string } | undefined {
  const known = (at.animal?.withheld ?? []).flatMap(({ of, until, product }) =>
    of === 'meat' ? [{ until, product }] : [],
  );
  const now = plannedTreatments(draft, at).flatMap((plan) => {
    const days = plan.isLeftOut ? 0 : (plan.withdrawal?.meatDays ?? 0);
    return days > 0 ? [{ until: isoOf(withdrawalEnd(dayOf(at.job.on), days)), product: plan.product.facts.name }] : [];
  });
  return [...known, ...now].toSorted((a, b) => (a.until < b.until ? -1 : 1)).at(-1);
}

/** The gate it leaves by: chosen, or else suggested. */
export const gateOf = (draft: Draft, at: AtHand): GateChoice | undefined =>
  draft.gate === undefined ? suggestedGate(draft, at)?.choice : at.job.gates.find((g) => g.name === draft.gate);

export const sort: StationRules = {
  problems(draft, at): Problem[] {
    const gate = gateOf(draft, at);
    if (!gate) return [{ kind: 'refuse', message: say('Choose a gate: ← ↓ →, then Enter.') }];
    const held = gate.isForSale ? meatHeld(draft, at) : undefined;
    return held
      ? [
          {
            kind: 'ask',
            key: `${gate.name} held`,
            message: say('{held} Not for slaughter until then. Choose another gate, or Enter again for {name}.', {
              held: heldText(held),
              name: gate.name,
            }),
          },
        ]
      : [];
  },
  // The gate itself stands in the passage; what it leads to is a move.
  facts(draft, at) {
    const { groupId, mark, name: purpose = '' } = gateOf(draft, at) ?? {};
    return [
      ...(groupId === undefined ? [] : [{ type: 'move', groupId } as const]),
      ...(mark ? [{ type: 'mark', ...mark, purpose } as const] : []),
    ];
  },
};

/** The gates as they spray: each its own mark, or that of the decision it is for. */
export function markedGates(
  { gates, settings }: Pick<JobFacts, 'gates' | 'settings'>,
  marks: DecisionMarksSetting,
): readonly GateChoice[] {
  const rule = settings?.sort && withBetween(settings.sort as SortRule, gates);
  return gates.map((gate) => {
    const decision = rule && decisionOfGate(rule, gate.key);
    const mark = gate.mark ?? (decision && marks[decision]);
    return mark ? { ...gate, mark } : gate;
  });
}
