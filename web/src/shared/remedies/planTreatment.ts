import { labelOf, timesText, tooSmallText, type ProductView, type RosterAnimal } from '@yaylak/contract';
import {
  dayOf,
  doseFor,
  doseWeight,
  isOwnAmount,
  labelWithdrawal,
  readTypedNumber,
  timesLabel,
  type Dose,
  type DoseWeight,
  type Reading,
  type Route,
  type Species,
  type TooSmall,
  type SpeciesSettings,
  type WeightUnit,
  type WithdrawalRule,
} from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { amountText, countText, fullDate, weightText } from '../../words/format';

/** Who is treated, as a dose needs it. */
export interface Treated {
  /** Undefined for one not in the book yet. */
  readonly animal: RosterAnimal | undefined;
  readonly species: Species;
  readonly ageDays: number | undefined;
  readonly settings: SpeciesSettings;
  /** Beside those of the roster: what was just weighed. */
  readonly weighedNow?: Reading | undefined;
  readonly on: string;
  readonly unit: WeightUnit;
}

/** What somebody set otherwise than the label proposes. */
export interface TreatmentChoice {
  readonly amountText?: string | undefined;
  readonly route?: Route | undefined;
  readonly batch?: string | undefined;
  /** All are dosed by this weight, the heaviest of them. */
  readonly heaviest?: DoseWeight | undefined;
}

/** A remedy as it would be given to one animal. */
export interface PlannedTreatment {
  readonly product: ProductView;
  readonly dose: Dose;
  readonly weight: DoseWeight | undefined;
  /** What the dose is worked from: its own weight, or that of the heaviest. */
  readonly dosedBy: DoseWeight | undefined;
  /** The label is not for one so young or so light: it is left out. */
  readonly underLabel: TooSmall | undefined;
  /** Typed, or the dose. */
  readonly amountText: string;
  readonly amount: number | undefined;
  readonly route: Route;
  readonly batch: string | undefined;
  /** What the label says for the species by this route; undefined where it says nothing. */
  readonly withdrawal: WithdrawalRule | undefined;
  /** Somebody chose an amount far from the label's: it wants a reason. */
  readonly isOwnAmount: boolean;
  /** In whole sentences, each a reason to look again before it is given. */
  readonly cautions: readonly string[];
}

/** A roster animal's readings as core wants them. */
export const readingsOf = (animal: RosterAnimal): Reading[] =>
  animal.weights.map(([on, kg, method]) => ({ on: dayOf(on), kg, method: method as Reading['method'] }));

/** Dose, batch, withdrawal and cautions of a product for one animal, all by the user's own label. */
export function planTreatment(product: ProductView, who: Treated, choice: TreatmentChoice = {}): PlannedTreatment {
  const label = labelOf(product.facts);
  const weight = weightFor(who);
  const own = doseFor(label, { species: who.species, kg: weight?.kg, ageDays: who.ageDays });
  const underLabel =
    own.kind === 'no-dose' && (own.reason === 'too-young' || own.reason === 'too-light') ? own : undefined;
  const dosedBy = choice.heaviest ?? weight;
  const dose = underLabel ? own : doseFor(label, { species: who.species, kg: dosedBy?.kg, ageDays: who.ageDays });
  const given = choice.amountText ?? (dose.kind === 'dose' ? String(dose.amount) : '');
  const typed = readTypedNumber(given);
  const route = choice.route ?? product.facts.routes[0] ?? 'mouth';
  const usable = product.batches.find((b) => b.state === 'good' || b.state === 'expires-soon');
  const batch = choice.batch ?? usable?.batch;
  const amount = typed.kind === 'number' && typed.value > 0 ? typed.value : undefined;
  const times = amount === undefined ? undefined : timesLabel(dose, amount);
  return {
    product,
    dose,
    weight,
    dosedBy,
    underLabel,
    amountText: given,
    amount,
    isOwnAmount: amount !== undefined && isOwnAmount(dose, amount),
    route,
    batch,
    withdrawal: labelWithdrawal(label, who.species, route),
    cautions: [
      ...doseCautions(product, dose, amount, times),
      ...weightCautions(product, who, weight, dose),
      ...ageCautions(product, who),
      ...batchCautions(product, batch),
      ...historyCautions(product, who),
    ],
  };
}

/** By the rules of doses: the last of the scale while it serves, else the last of any kind. */
function weightFor({ animal, ageDays, settings, weighedNow, on }: Treated): DoseWeight | undefined {
  const readings = [...(animal ? readingsOf(animal) : []), ...(weighedNow ? [weighedNow] : [])];
  return doseWeight(readings, dayOf(on), ageDays !== undefined && ageDays <= settings.weaningDays.closes);
}

/** An amount far from the label's: a slip of the keys, or a syringe too coarse for a small animal. */
function doseCautions(
  { facts }: ProductView,
  dose: Dose,
  amount: number | undefined,
  times: number | undefined,
): string[] {
  if (times === undefined || amount === undefined || dose.kind !== 'dose') return [];
  const unit = facts.doseUnit;
  const label = `the label’s ${amountText(dose.exact)} ${unit}`;
  const said = `${facts.name}: ${amountText(amount)} ${unit} is ${timesText(times)} ${label}.`;
  return [
    amount === dose.amount
      ? `${said} The step of the syringe makes it so: take a finer one.`
      : `${said} Look at the amount again.`,
  ];
}

/** The label has a least age, and nobody knows how old this one is. */
function ageCautions({ facts }: ProductView, { species, ageDays }: Treated): string[] {
  const from = facts.doses.find((d) => d.species === species)?.fromDays;
  return from === undefined || ageDays !== undefined
    ? []
    : [`${facts.name}: the label is for animals from ${countText(from, 'day', 'days')} old, and its age is not known.`];
}

/** Why it is left out, in words. */
export const underLabelText = ({ product, underLabel }: PlannedTreatment, unit: WeightUnit): string | undefined =>
  underLabel && `${product.facts.name}: left out. ${tooSmallText(underLabel, unit)}`;

/** Nothing is poured on a wet back: asked once a job, or a sheet. */
export const DRY_BACKS = 'Are the backs dry? A pour-on on a wet back runs off.';

function weightCautions(
  { facts }: ProductView,
  { species, unit }: Treated,
  weight: DoseWeight | undefined,
  dose: Dose,
): string[] {
  const isByWeight = facts.doses.some((d) => d.species === species && d.by !== 'head');
  if (!isByWeight || !weight || dose.kind !== 'dose') return [];
  const said: string[] = [];
  if (weight.cautions.includes('old-weight'))
    said.push(`${facts.name}: the dose is by a weight of ${weight.daysOld} days ago.`);
  const guess = weight.cautions.find((c) => c !== 'old-weight');
  const by = guess === 'estimate' ? 'by eye' : guess === 'tape' ? 'by tape' : 'by a litter’s mean';
  if (guess)
    said.push(
      `${facts.name}: the dose is ${by} (${weightText(weight.kg, unit, species)}), which usually reads high. Weigh it if you can.`,
    );
  return said;
}

function batchCautions({ facts, batches }: ProductView, batch: string | undefined): string[] {
  const chosen = batches.find((b) => b.batch === batch);
  if (chosen?.state === 'expired')
    return [
      `${facts.name}: batch ${chosen.batch} expired on ${fullDate(chosen.expiresOn ?? '')}. Take another bottle.`,
    ];
  if (chosen || batches.length === 0) return [];
  const last = batches.find((b) => b.state === 'expired');
  const why = last ? `${last.batch} expired on ${fullDate(last.expiresOn ?? '')}` : 'none is left';
  return [`${facts.name}: no batch on the shelf may be used (${why}). Take another bottle, or leave it out.`];
}

function historyCautions({ id, facts }: ProductView, { animal, on }: Treated): string[] {
  const said = (animal?.withheld ?? []).map(
    (w) => `Its ${w.of} is withheld to ${fullDate(w.until)} already (${w.product}). The longer of the two counts.`,
  );
  const before = animal?.given.find(([productId]) => productId === id);
  const days = before && dayOf(on) - dayOf(before[1]);
  if (days !== undefined && days >= 0 && days < (facts.course?.everyDays ?? 7))
    said.push(
      `${facts.name} was given ${days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`} already.`,
    );
  return said;
}

/** Why nothing can be given yet, in words; undefined when it can. */
export function amountFault({ product, dose, amount, amountText: typed }: PlannedTreatment): string | undefined {
  if (amount !== undefined) return undefined;
  const { name } = product.facts;
  const more = 'Type what is given, or leave it out.';
  if (typed.trim() !== '' || dose.kind === 'dose') return `${name}: “${typed}” is not an amount. ${more}`;
  switch (dose.reason) {
    case 'no-weight':
      return `${name}: the dose goes by weight and there is none. ${more}`;
    case 'above-bands':
      return `${name}: it is heavier than the label’s last band (${dose.heaviestKg} kg). ${more}`;
    case 'too-young':
    case 'too-light':
      return `${name}: ${tooSmallText(dose, 'kg')} ${more}`;
    case 'species-not-on-label':
      return `${name}: the label has no dose for this species. ${more}`;
  }
}

type Given = Omit<Extract<EntryDraft, { type: 'treatment' }>, 'animalId' | 'on' | 'id'>;

/** The entry of a treatment as planned; off the label with the vet's days. */
export function treatmentFact(
  plan: PlannedTreatment,
  more: { readonly reason?: string | undefined; readonly prescribedBy?: string | undefined } = {},
  vet?: { readonly meatDays: number; readonly milkDays?: number | undefined },
): Given | undefined {
  const { product, amount, dosedBy, withdrawal, route, batch } = plan;
  if (amount === undefined) return undefined;
  const { meatDays, milkDays } = vet ?? withdrawal ?? {};
  const prescribedBy = more.prescribedBy?.trim() || product.facts.prescribedBy;
  const reason = more.reason?.trim();
  return {
    type: 'treatment',
    productId: product.id,
    amount,
    unit: product.facts.doseUnit,
    route,
    ...(batch === undefined ? {} : { batch }),
    ...(reason ? { reason } : {}),
    ...(prescribedBy ? { prescribedBy } : {}),
    ...(dosedBy ? { doseKg: Number(dosedBy.kg.toFixed(3)), doseMethod: dosedBy.method } : {}),
    ...(meatDays === undefined ? {} : { meatDays }),
    ...(milkDays === undefined ? {} : { milkDays }),
    ...(vet ? { isOffLabel: true } : {}),
  };
}
