import { dayOf } from '@yaylak/core';
import {
  amountFault,
  DRY_BACKS,
  planTreatment,
  treatmentFact,
  type PlannedTreatment,
  type Treated,
} from '../../../shared/remedies/planTreatment';
import type { Draft } from '../draft';
import { productOf, type AtHand, type Problem, type StationRules, type Toggle } from './atHand';
import { trueKg } from './weigh';
import { say } from '@yaylak/contract';

export interface StationTreatment extends PlannedTreatment {
  readonly key: string;
  readonly isLeftOut: boolean;
}

const keyOf = (productId: string): string => `treat ${productId}`;

/** The remedies of the job for the animal at hand, each with its dose, its batch and what speaks against it. */
export const plannedTreatments = (draft: Draft, at: AtHand): StationTreatment[] =>
  (at.job.settings.treat?.productIds ?? []).flatMap((id): StationTreatment[] => {
    const product = productOf(at, id);
    if (!product) return [];
    const key = keyOf(id);
    const plan = planTreatment(product, treatedAt(draft, at), { amountText: draft.amounts[id] });
    return [{ ...plan, key, isLeftOut: plan.underLabel !== undefined || draft.leftOut.includes(key) }];
  });

/** The animal at hand with the weight just taken, where the job weighs. */
function treatedAt(draft: Draft, at: AtHand): Treated {
  const kg = at.job.stations.includes('weigh') ? trueKg(draft, at) : undefined;
  const method = draft.isFromCrate ? 'crate' : (at.job.settings.weigh?.method ?? 'scale');
  return {
    ...at,
    on: at.job.on,
    weighedNow: kg === undefined ? undefined : { on: dayOf(at.job.on), kg, method },
  };
}

/** Why an amount is given that is far from the label's. */
const reasonOf = (draft: Draft): string => (draft.fields.reason ?? '').trim();

export const treat: StationRules = {
  problems: (draft, at) =>
    plannedTreatments(draft, at).flatMap((plan): Problem[] => {
      if (plan.isLeftOut) return [];
      if (plan.withdrawal?.meatDays === undefined)
        return [
          {
            kind: 'refuse',
            message: say(
              '{name}: its label has no withdrawal for this species by this route. Leave it out here; under Remedies it can be recorded with the vet’s days.',
              { name: plan.product.facts.name },
            ),
          },
        ];
      const fault = amountFault(plan);
      if (fault) return [{ kind: 'refuse', message: fault }];
      if (plan.isOwnAmount && reasonOf(draft) === '')
        return [
          {
            kind: 'refuse',
            message: say('{list} Correct it, or give the reason.', { list: plan.cautions.join(' ') }),
            field: 'reason',
          },
        ];
      const wet = plan.route === 'pour-on' && !at.isPouredOn ? [DRY_BACKS] : [];
      const cautions = [...wet, ...plan.cautions];
      return cautions.length === 0
        ? []
        : [{ kind: 'ask', key: plan.key, message: say('{list} Enter again gives it.', { list: cautions.join(' ') }) }];
    }),
  facts: (draft, at) =>
    plannedTreatments(draft, at).flatMap((plan) => {
      const why = [at.job.settings.treat?.reason?.trim() ?? '', plan.isOwnAmount ? reasonOf(draft) : ''];
      const reason = why.filter((words) => words !== '').join('; ');
      const fact = plan.isLeftOut ? undefined : treatmentFact(plan, { reason });
      return fact ?? [];
    }),
  toggles: (at) =>
    (at.job.settings.treat?.productIds ?? []).flatMap((id): Toggle[] => {
      const product = productOf(at, id);
      return product ? [{ key: keyOf(id), words: product.facts.name }] : [];
    }),
};
