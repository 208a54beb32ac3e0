import { labelOf, type ProductView } from '@yaylak/contract';
import {
  dayOf,
  doseFor,
  doseWeight,
  labelWithdrawal,
  readTypedNumber,
  type Dose,
  type DoseWeight,
  type Route,
  type WithdrawalRule,
} from '@yaylak/core';
import { fullDate, weightText } from '../../../words/format';
import { rosterReadings } from '../answers';
import type { Draft } from '../draft';
import { productOf, type AtHand, type Problem, type StationRules, type Toggle } from './atHand';
import { typedKg } from './weigh';

/** A remedy as it would be given to the animal at hand. */
export interface PlannedTreatment {
  readonly product: ProductView;
  readonly key: string;
  readonly isLeftOut: boolean;
  readonly dose: Dose;
  readonly weight: DoseWeight | undefined;
  /** Typed, or the dose. */
  readonly amountText: string;
  readonly amount: number | undefined;
  readonly route: Route;
  readonly batch: string | undefined;
  readonly withdrawal: WithdrawalRule | undefined;
  /** In whole sentences, each a reason to look again before it is given. */
  readonly cautions: readonly string[];
}

const keyOf = (productId: string): string => `treat ${productId}`;

/** The remedies of the job for the animal at hand, each with its dose, its batch and what speaks against it. */
export const plannedTreatments = (draft: Draft, at: AtHand): PlannedTreatment[] =>
  (at.job.settings.treat?.productIds ?? []).flatMap((id) => {
    const product = productOf(at, id);
    return product ? [planned(product, draft, at)] : [];
  });

function planned(product: ProductView, draft: Draft, at: AtHand): PlannedTreatment {
  const label = labelOf(product.facts);
  const weight = weightFor(draft, at);
  const dose = doseFor(label, at.species, weight?.kg);
  const amountText = draft.amounts[product.id] ?? (dose.kind === 'dose' ? String(dose.amount) : '');
  const typed = readTypedNumber(amountText);
  const amount = typed.kind === 'number' && typed.value > 0 ? typed.value : undefined;
  const route = product.facts.routes[0] ?? 'mouth';
  const batch = product.batches.find((b) => b.state === 'good' || b.state === 'expires-soon');
  const withdrawal = labelWithdrawal(label, at.species, route);
  return {
    product,
    key: keyOf(product.id),
    isLeftOut: draft.leftOut.includes(keyOf(product.id)),
    dose,
    weight,
    amountText,
    amount,
    route,
    batch: batch?.batch,
    withdrawal,
    cautions: cautionsOf({ product, dose, weight, isBatch: batch !== undefined }, at),
  };
}

/** Today's weight where one was just typed, else what the roster has, by the rules of doses. */
function weightFor(draft: Draft, at: AtHand): DoseWeight | undefined {
  const today = dayOf(at.job.on);
  const kg = at.job.stations.includes('weigh') ? typedKg(draft, at) : undefined;
  const method = draft.isFromCrate ? 'crate' : (at.job.settings.weigh?.method ?? 'scale');
  const readings = [
    ...(at.animal ? rosterReadings(at.animal) : []),
    ...(kg === undefined ? [] : [{ on: today, kg, method }]),
  ];
  const isYoung = at.ageDays !== undefined && at.ageDays <= at.settings.weaningDays.closes;
  return doseWeight(readings, today, isYoung);
}

function cautionsOf(
  {
    product,
    dose,
    weight,
    isBatch,
  }: Pick<PlannedTreatment, 'product' | 'dose' | 'weight'> & { readonly isBatch: boolean },
  at: AtHand,
): string[] {
  const { name } = product.facts;
  const said: string[] = [];
  const byWeight = product.facts.doses.some((d) => d.species === at.species && d.by !== 'head');
  if (byWeight && weight && dose.kind === 'dose') {
    if (weight.cautions.includes('old-weight'))
      said.push(`${name}: the dose is by a weight of ${weight.daysOld} days ago.`);
    const guess = weight.cautions.find((c) => c !== 'old-weight');
    if (guess)
      said.push(
        `${name}: the dose is by ${guess === 'estimate' ? 'eye' : guess === 'tape' ? 'tape' : 'a litter’s mean'} (${weightText(weight.kg, at.unit, at.species)}), which usually reads high. Weigh it if you can.`,
      );
  }
  if (!isBatch && product.batches.length > 0) {
    const last = product.batches.at(-1);
    const why =
      last?.state === 'expired' ? `${last.batch} was over on ${fullDate(last.expiresOn ?? '')}` : 'none is left';
    said.push(`${name}: no batch on the shelf may be used (${why}). Take another bottle, or leave it out.`);
  }
  for (const w of at.animal?.withheld ?? [])
    said.push(`Its ${w.of} is withheld to ${fullDate(w.until)} already (${w.product}). The longer of the two counts.`);
  const before = at.animal?.given.find(([id]) => id === product.id);
  const days = before && dayOf(at.job.on) - dayOf(before[1]);
  if (days !== undefined && days < (product.facts.course?.everyDays ?? 7))
    said.push(`${name} was given ${days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`} already.`);
  return said;
}

export const treat: StationRules = {
  problems: (draft, at) =>
    plannedTreatments(draft, at).flatMap((plan): Problem[] => {
      const { name } = plan.product.facts;
      if (plan.isLeftOut) return [];
      if (plan.withdrawal?.meatDays === undefined)
        return [
          {
            kind: 'refuse',
            message: `${name}: its label has no withdrawal for this species by this route. Leave it out here; under Remedies it can be written down with the vet’s days.`,
          },
        ];
      if (plan.amount === undefined)
        return [{ kind: 'refuse', message: `${name}: ${noAmountWords(plan)} Type what is given, or leave it out.` }];
      return plan.cautions.length === 0
        ? []
        : [
            {
              kind: 'ask',
              key: plan.key,
              message: `${plan.cautions.join(' ')} Enter again gives it.`,
            },
          ];
    }),
  facts: (draft, at) =>
    plannedTreatments(draft, at).flatMap((plan) => {
      const { product, amount, weight, withdrawal, route, batch } = plan;
      if (plan.isLeftOut || amount === undefined) return [];
      const { reason } = at.job.settings.treat ?? {};
      return [
        {
          type: 'treatment' as const,
          productId: product.id,
          amount,
          unit: product.facts.doseUnit,
          route,
          ...(batch === undefined ? {} : { batch }),
          ...(reason ? { reason } : {}),
          ...(product.facts.prescribedBy ? { prescribedBy: product.facts.prescribedBy } : {}),
          ...(weight ? { doseKg: Number(weight.kg.toFixed(3)), doseMethod: weight.method } : {}),
          ...(withdrawal?.meatDays === undefined ? {} : { meatDays: withdrawal.meatDays }),
          ...(withdrawal?.milkDays === undefined ? {} : { milkDays: withdrawal.milkDays }),
        },
      ];
    }),
  toggles: (at) =>
    (at.job.settings.treat?.productIds ?? []).flatMap((id): Toggle[] => {
      const product = productOf(at, id);
      return product ? [{ key: keyOf(id), words: product.facts.name }] : [];
    }),
};

function noAmountWords({ dose, amountText }: PlannedTreatment): string {
  if (amountText.trim() !== '') return `“${amountText}” is no amount.`;
  if (dose.kind === 'dose') return 'no amount.';
  switch (dose.reason) {
    case 'no-weight':
      return 'the dose goes by weight and there is none.';
    case 'above-bands':
      return `it is heavier than the label’s last band (${dose.heaviestKg} kg).`;
    case 'species-not-on-label':
      return 'the label has no dose for this species.';
  }
}
