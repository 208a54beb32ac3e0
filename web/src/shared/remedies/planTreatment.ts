import { labelOf, timesText, tooSmallText, type ProductView, type RosterAnimal, say } from '@yaylak/contract';
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
import { fullDate } from '../../words/dates';
import { amountText, weightText } from '../../words/format';

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
  const label = say('the label’s {amount} {unit}', { amount: amountText(dose.exact), unit });
  const said = say('{name}: {amount} {unit} is {times} {label}.', {
    name: facts.name,
    amount: amountText(amount),
    unit,
    times: timesText(times),
    label,
  });
  return [
    amount === dose.amount
      ? say('{said} The step of the syringe makes it so: take a finer one.', { said })
      : say('{said} Look at the amount again.', { said }),
  ];
}

/** The label has a least age, and nobody knows how old this one is. */
function ageCautions({ facts }: ProductView, { species, ageDays }: Treated): string[] {
  const from = facts.doses.find((d) => d.species === species)?.fromDays;
  return from === undefined || ageDays !== undefined
    ? []
    : [
        say(
          '{name}: the label is for animals from {from} {from, plural, one {day} other {days}} old, and its age is not known.',
          { name: facts.name, from },
        ),
      ];
}

/** Why it is left out, in words. */
export const underLabelText = ({ product, underLabel }: PlannedTreatment, unit: WeightUnit): string | undefined =>
  underLabel &&
  say('{name}: left out. {tooSmall}', { name: product.facts.name, tooSmall: tooSmallText(underLabel, unit) });

/** Nothing is poured on a wet back: asked once a job, or a sheet. */
export const DRY_BACKS = say('Are the backs dry? A pour-on on a wet back runs off.');

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
    said.push(
      say('{name}: the dose is by a weight of {daysOld} days ago.', { name: facts.name, daysOld: weight.daysOld }),
    );
  const guess = weight.cautions.find((c) => c !== 'old-weight');
  const by = guess === 'estimate' ? say('by eye') : guess === 'tape' ? say('by tape') : say('by a litter’s mean');
  if (guess)
    said.push(
      say('{name}: the dose is {by} ({weight}), which usually reads high. Weigh it if you can.', {
        name: facts.name,
        by,
        weight: weightText(weight.kg, unit, species),
      }),
    );
  return said;
}

function batchCautions({ facts, batches }: ProductView, batch: string | undefined): string[] {
  const chosen = batches.find((b) => b.batch === batch);
  if (chosen?.state === 'expired')
    return [
      say('{name}: batch {batch} expired on {date}. Take another bottle.', {
        name: facts.name,
        batch: chosen.batch,
        date: fullDate(chosen.expiresOn ?? ''),
      }),
    ];
  if (chosen || batches.length === 0) return [];
  const last = batches.find((b) => b.state === 'expired');
  const why = last
    ? say('{batch} expired on {date}', { batch: last.batch, date: fullDate(last.expiresOn ?? '') })
    : say('none is left');
  return [
    say('{name}: no batch on the shelf may be used ({why}). Take another bottle, or leave it out.', {
      name: facts.name,
      why,
    }),
  ];
}

function historyCautions({ id, facts }: ProductView, { animal, on }: Treated): string[] {
  const said = (animal?.withheld ?? []).map((w) =>
    say('Its {of} is withheld to {date} already ({product}). The longer of the two counts.', {
      of: w.of,
      date: fullDate(w.until),
      product: w.product,
    }),
  );
  const before = animal?.given.find(([productId]) => productId === id);
  const days = before && dayOf(on) - dayOf(before[1]);
  if (days !== undefined && days >= 0 && days < (facts.course?.everyDays ?? 7))
    said.push(
      say('{name} was given {value} already.', {
        name: facts.name,
        value: days === 0 ? say('today') : days === 1 ? say('yesterday') : say('{days} days ago', { days }),
      }),
    );
  return said;
}

/** Why nothing can be given yet, in words; undefined when it can. */
export function amountFault({ product, dose, amount, amountText: typed }: PlannedTreatment): string | undefined {
  if (amount !== undefined) return undefined;
  const { name } = product.facts;
  const more = say('Type what is given, or leave it out.');
  if (typed.trim() !== '' || dose.kind === 'dose')
    return say('{name}: “{typed}” is not an amount. {more}', { name, typed, more });
  switch (dose.reason) {
    case 'no-weight':
      return say('{name}: the dose goes by weight and there is none. {more}', { name, more });
    case 'above-bands':
      return say('{name}: it is heavier than the label’s last band ({heaviestKg} kg). {more}', {
        name,
        heaviestKg: dose.heaviestKg,
        more,
      });
    case 'too-young':
    case 'too-light':
      return `${name}: ${tooSmallText(dose, 'kg')} ${more}`;
    case 'species-not-on-label':
      return say('{name}: the label has no dose for this species. {more}', { name, more });
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
