import {
  labelOf,
  weightText,
  type DoseFacts,
  type ProductFacts,
  type WithdrawalFacts,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import {
  fromKg,
  isUnderStep,
  parseDay,
  readTypedNumber,
  SPECIES,
  toKg,
  unusualDose,
  type DoseUnit,
  type ProductKind,
  type Route,
  type Species,
  type WeightUnit,
} from '@yaylak/core';
import { amountText } from '../../words/format';
import { minorTyped } from '../../words/typed';

/** A dose as it is typed: a figure for the kilogram or the head, or bands as `30: 6, 60: 12`. */
export interface DoseDraft {
  readonly by: 'none' | DoseFacts['by'];
  readonly text: string;
  /** The least age in days and the least weight the label is for; empty where it has none. */
  readonly fromDays: string;
  readonly fromKg: string;
  /** Days withheld, for each way the product is given. */
  readonly days: Readonly<Partial<Record<Route, DaysDraft>>>;
}
export interface DaysDraft {
  readonly meat: string;
  readonly milk: string;
}
export interface BatchDraft {
  readonly batch: string;
  readonly expiresOn: string;
  readonly amount: string;
  /** Money for all of it. */
  readonly paid: string;
}

/** A label while it is typed: everything is text until it is read. */
export interface ProductDraft {
  readonly name: string;
  readonly kind: ProductKind;
  readonly active: string;
  readonly form: string;
  readonly concentration: string;
  readonly doseUnit: DoseUnit;
  readonly doses: Readonly<Record<Species, DoseDraft>>;
  readonly step: string;
  readonly rounding: 'up' | 'nearest';
  readonly maxPerSite: string;
  readonly routes: readonly Route[];
  readonly times: string;
  readonly everyDays: string;
  readonly prescribedBy: string;
  readonly batches: readonly BatchDraft[];
  readonly lowAt: string;
  readonly planMonths: readonly number[];
  readonly planGroupIds: readonly string[];
}

export const NO_DAYS: DaysDraft = { meat: '', milk: '' };
const shown = (n: number | undefined): string => (n === undefined ? '' : String(n));

/** The draft of a label, or of an empty one; weights in the holding's unit. */
export function draftOf(facts: ProductFacts | undefined, unit: WeightUnit = 'kg'): ProductDraft {
  const dose = (species: Species): DoseDraft => {
    const rule = facts?.doses.find((d) => d.species === species);
    const days = (facts?.withdrawals ?? [])
      .filter((w) => w.species === species)
      .map((w) => [w.route, { meat: shown(w.meatDays), milk: shown(w.milkDays) }] as const);
    return {
      by: rule?.by ?? 'none',
      text: rule ? doseText(rule, unit) : '',
      fromDays: shown(rule?.fromDays),
      fromKg: rule?.fromKg === undefined ? '' : rounded(fromKg(rule.fromKg, unit)),
      days: Object.fromEntries(days),
    };
  };
  return {
    name: facts?.name ?? '',
    kind: facts?.kind ?? 'remedy',
    active: facts?.active ?? '',
    form: facts?.form ?? '',
    concentration: facts?.concentration ?? '',
    doseUnit: facts?.doseUnit ?? 'ml',
    doses: Object.fromEntries(SPECIES.map((s) => [s, dose(s)])) as ProductDraft['doses'],
    step: shown(facts?.step ?? 0.5),
    rounding: facts?.rounding ?? 'nearest',
    maxPerSite: shown(facts?.maxPerSite),
    routes: facts?.routes ?? ['mouth'],
    times: shown(facts?.course?.times),
    everyDays: shown(facts?.course?.everyDays),
    prescribedBy: facts?.prescribedBy ?? '',
    batches: (facts?.batches ?? []).map((b) => ({
      batch: b.batch,
      expiresOn: b.expiresOn ?? '',
      amount: shown(b.amount),
      paid: b.paidMinor === undefined ? '' : (b.paidMinor / 100).toFixed(2),
    })),
    lowAt: shown(facts?.lowAt),
    planMonths: facts?.planMonths ?? [],
    planGroupIds: facts?.planGroupIds ?? [],
  };
}

function doseText({ by, perKg, bands, amount }: DoseFacts, unit: WeightUnit): string {
  if (by === 'kg') return perKg === undefined ? '' : rounded(perKg * toKg(1, unit));
  if (by === 'head') return shown(amount);
  return (bands ?? []).map((b) => `${rounded(fromKg(b.upToKg, unit))}: ${b.amount}`).join(', ');
}

/** As many digits as a label has; a figure in kilograms is as it was typed. */
const rounded = (value: number): string => String(Number(value.toPrecision(4)));

export type ProductRead =
  | { readonly kind: 'facts'; readonly facts: ProductFacts }
  | { readonly kind: 'faults'; readonly faults: readonly string[] };

/**
 * Reads a typed label; every fault names its field, what stands there and what to type.
 * @param unit  weights were typed in it, and doses to one of it
 * @param before  the label as it stands: a dose that is shown as before is not reckoned over and back
 */
export function readProduct(draft: ProductDraft, unit: WeightUnit = 'kg', before?: ProductFacts): ProductRead {
  const faults: string[] = [];
  const figure = (text: string, field: string, hint: string): number | undefined => {
    if (text.trim() === '') return undefined;
    const read = readTypedNumber(text);
    if (read.kind === 'number' && read.value >= 0) return read.value;
    faults.push(say('{field}: “{text}” is not a figure. {hint}', { field, text, hint }));
    return undefined;
  };
  const whole = (text: string, field: string): number | undefined => {
    const read = figure(text, field, say('Type whole days, or leave it empty.'));
    if (read === undefined || Number.isInteger(read)) return read;
    faults.push(say('{field}: “{text}” is not whole.', { field, text }));
    return undefined;
  };
  if (draft.name.trim() === '') faults.push(say('Name: type what stands on the bottle.'));
  const step = figure(draft.step, say('Syringe step'), say('Type it as 0.5.'));
  if (step === undefined || step <= 0)
    faults.push(say('Syringe step: type what the syringe can measure, such as 0.5.'));

  const leastOf = (
    { fromDays, fromKg: least }: DoseDraft,
    species: Species,
  ): Pick<DoseFacts, 'fromDays' | 'fromKg'> => {
    const days = whole(fromDays, say('Least age, {species}', { species }));
    const weight = figure(
      least,
      say('Least weight, {species}', { species }),
      say('Leave it empty where the label has none.'),
    );
    return defined({ fromDays: days || undefined, fromKg: weight ? toKg(weight, unit) : undefined });
  };
  const doses = SPECIES.flatMap((species): DoseFacts[] => {
    const { by, text } = draft.doses[species];
    if (by === 'none') return [];
    const was = before?.doses.find((d) => d.species === species && d.by === by);
    const least = leastOf(draft.doses[species], species);
    if (was && doseText(was, unit) === text) return [{ ...withoutLeast(was), ...least }];
    if (by === 'band') {
      const bands = readBands(text);
      if (!bands)
        faults.push(
          say('Dose, {species}: “{text}” is not a list of bands. Type it as 30: 6, 60: 12.', { species, text }),
        );
      return bands
        ? [{ species, by, bands: bands.map((b) => ({ ...b, upToKg: toKg(b.upToKg, unit) })), ...least }]
        : [];
    }
    const value = figure(text, say('Dose, {species}', { species }), say('Type what the label says.'));
    if (value === undefined || value === 0) {
      if (value === 0 || text.trim() === '')
        faults.push(say('Dose, {species}: type what the label says.', { species }));
      return [];
    }
    return [{ species, by, ...(by === 'kg' ? { perKg: value / toKg(1, unit) } : { amount: value }), ...least }];
  });
  if (draft.routes.length === 0) faults.push(say('Given: choose at least one way.'));
  const withdrawals = SPECIES.flatMap((species) =>
    draft.routes.flatMap((route): WithdrawalFacts[] => {
      const { meat, milk } = draft.doses[species].days[route] ?? NO_DAYS;
      const meatDays = whole(meat, say('Meat, {species}', { species }));
      const milkDays = whole(milk, say('Milk, {species}', { species }));
      if (meatDays === undefined && milkDays === undefined) return [];
      return [{ species, route, ...defined({ meatDays, milkDays }) }];
    }),
  );
  const batches = draft.batches.flatMap((b) => {
    if (b.batch.trim() === '' && b.amount.trim() === '') return [];
    if (b.batch.trim() === '') faults.push(say('Batch: type the number that stands on the bottle.'));
    if (b.expiresOn !== '' && parseDay(b.expiresOn) === undefined)
      faults.push(say('Batch {batch}: “{expiresOn}” is not a date.', { batch: b.batch, expiresOn: b.expiresOn }));
    const amount =
      figure(b.amount, say('Batch {batch}, bought', { batch: b.batch }), say('Type how much was bought.')) ?? 0;
    const paidMinor = b.paid.trim() === '' ? undefined : minorTyped(b.paid);
    if (paidMinor !== undefined && Number.isNaN(paidMinor))
      faults.push(
        say('Batch {batch}, paid: “{paid}” is not an amount. Type what all of it cost, or leave it empty.', {
          batch: b.batch,
          paid: b.paid,
        }),
      );
    return [
      {
        batch: b.batch.trim(),
        amount,
        ...(b.expiresOn === '' ? {} : { expiresOn: b.expiresOn }),
        ...defined({ paidMinor }),
      },
    ];
  });
  const times = whole(draft.times, say('Doses in all'));
  const everyDays = whole(draft.everyDays, say('Days between'));
  if ((times === undefined) !== (everyDays === undefined))
    faults.push(say('A course needs both: how many doses in all, and how many days between.'));
  const maxPerSite = figure(
    draft.maxPerSite,
    say('Most at one place'),
    say('Leave it empty where the label has none.'),
  );
  if (step !== undefined && isUnderStep({ step, maxPerSite }))
    faults.push(say('Most at one place: it is less than the syringe’s step. Look at the label again.'));
  const lowAt = figure(draft.lowAt, say('Low at'), say('Leave it empty to hear nothing.'));
  if (faults.length > 0) return { kind: 'faults', faults };
  return {
    kind: 'facts',
    facts: {
      name: draft.name.trim(),
      kind: draft.kind,
      ...text({
        active: draft.active,
        form: draft.form,
        concentration: draft.concentration,
        prescribedBy: draft.prescribedBy,
      }),
      doseUnit: draft.doseUnit,
      doses,
      step: step ?? 0.5,
      rounding: draft.rounding,
      routes: [...draft.routes],
      withdrawals,
      batches,
      ...defined({ maxPerSite, lowAt }),
      ...(times !== undefined && everyDays !== undefined ? { course: { times, everyDays } } : {}),
      ...(draft.planMonths.length > 0
        ? { planMonths: [...draft.planMonths], planGroupIds: [...draft.planGroupIds] }
        : {}),
    },
  };
}

/** What of a label is likely a slip of the keys: a dose no grown animal is given. */
export const labelDoubts = (facts: ProductFacts, unit: WeightUnit): string[] =>
  labelOf(facts).doses.flatMap((rule) => {
    const found = unusualDose(rule, facts.doseUnit);
    if (!found) return [];
    const who = `${SPECIES_WORDS[rule.species].plural}`;
    return [
      say('Dose, {who}: {amount} {doseUnit} for one of {weight} is far more than usual. Check the decimal point.', {
        who,
        amount: amountText(found.amount),
        doseUnit: facts.doseUnit,
        weight: weightText(found.kg, unit, rule.species),
      }),
    ];
  });

/** `30: 6, 60: 12` as bands: up to 30 kg 6, up to 60 kg 12. */
export function readBands(text: string): { readonly upToKg: number; readonly amount: number }[] | undefined {
  const parts = text.split(/;|,\s+/).map((part) => part.split(':').map((n) => readTypedNumber(n)));
  const bands = parts.flatMap(([upTo, amount]) =>
    upTo?.kind === 'number' && amount?.kind === 'number' && upTo.value > 0 && amount.value > 0
      ? [{ upToKg: upTo.value, amount: amount.value }]
      : [],
  );
  return bands.length === parts.length && parts.every((p) => p.length === 2) ? bands : undefined;
}

const withoutLeast = ({ fromDays: _days, fromKg: _kg, ...rest }: DoseFacts): DoseFacts => rest;

/** Fields that have a value. */
const defined = <T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as never;
const text = <T extends Record<string, string>>(fields: T): Partial<T> =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([k, v]) => (v.trim() === '' ? [] : [[k, v.trim()]])),
  ) as Partial<T>;
