import {
  isoOf,
  mainIdentifier,
  reservedOn,
  withheldOn,
  wornIdentifiers,
  type AnimalFacts,
  type CarryingNow,
  type Day,
  type KnownGain,
  type Proportion,
  type ScaleBias,
  type Window,
} from '@yaylak/core';
import {
  otherSireText,
  type BiasView,
  type GainView,
  type PhotoView,
  type ShareView,
  type TagView,
  type WindowView,
  say,
} from '@yaylak/contract';

/** An animal as its tag, with what of it is withheld on a day. */
export function tagView(facts: AnimalFacts, today: Day): TagView {
  const main = mainIdentifier(facts);
  const worn = wornIdentifiers(facts);
  const name = worn.findLast((i) => i.kind === 'name')?.text;
  return {
    animalId: facts.record.id,
    text: main?.identifier.text ?? say('no number'),
    kind: main?.identifier.kind ?? 'none',
    colour: main?.identifier.colour ?? null,
    // One known by its name alone is not called by it twice.
    name: name === undefined || name === main?.identifier.text ? null : name,
    hasElectronic: worn.some((i) => i.kind === 'electronic'),
    isWorn: main?.isWorn ?? false,
    ...withheld(facts, today),
    ...reserved(facts, today),
  };
}

function reserved(facts: AnimalFacts, today: Day): Pick<TagView, 'reserved'> {
  const open = facts.reservations.length === 0 ? undefined : reservedOn(facts, today);
  if (!open) return {};
  return { reserved: { buyer: open.buyer, ...(open.until === undefined ? {} : { until: isoOf(open.until) }) } };
}

function withheld(facts: AnimalFacts, today: Day): Pick<TagView, 'withheld'> {
  if (facts.treatments.length === 0) return {};
  const open = withheldOn(facts, today);
  if (open.length === 0) return {};
  return { withheld: Object.fromEntries(open.map((w) => [w.of, isoOf(w.until)])) };
}

/** A bias as the interface shows it. */
export const biasView = (b: ScaleBias): BiasView => ({
  by: b.by,
  method: b.method,
  species: b.species,
  pairs: b.pairs,
  ratio: b.ratio,
  low: b.low ?? null,
  high: b.high ?? null,
  isUsed: b.isUsed,
});

export const windowView = (w: Window): WindowView => ({
  opens: isoOf(w.opens),
  bestFrom: isoOf(w.bestFrom),
  bestTo: isoOf(w.bestTo),
  closes: isoOf(w.closes),
});

export const gainView = (gain: KnownGain, lineKgPerDay: number | null, verdict: GainView['verdict']): GainView => ({
  kgPerDay: gain.kgPerDay,
  standardError: gain.standardError,
  halfWidth: gain.halfWidth,
  from: isoOf(gain.from),
  to: isoOf(gain.to),
  readings: gain.readings,
  lineKgPerDay,
  verdict,
});

/** Who served her beside males of the holding, of what she may be carrying. */
export function otherSireOf(found: CarryingNow | undefined): string | null {
  const last = found?.spell.services.at(-1);
  return (last && otherSireText(last)) ?? null;
}

/** What an animal is called in a line: its name, else its number. */
export function calledAs(facts: AnimalFacts, today: Day): string {
  const { name, text } = tagView(facts, today);
  return name ?? text;
}

export const shareView = (p: Proportion): ShareView => ({ share: p.share, low: p.low, high: p.high, of: p.of });

/** An animal's newest photo. */
export function photoView({ photos }: AnimalFacts): PhotoView | null {
  const newest = photos.at(-1);
  return newest ? { pictureId: newest.pictureId, width: newest.width, height: newest.height } : null;
}
