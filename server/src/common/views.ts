import { isoOf, mainIdentifier, wornIdentifiers, type AnimalFacts, type KnownGain, type Window } from '@yaylak/core';
import type { GainView, TagView, WindowView } from '@yaylak/contract';

/** An animal as its tag. */
export function tagView(facts: AnimalFacts): TagView {
  const main = mainIdentifier(facts);
  const worn = wornIdentifiers(facts);
  return {
    animalId: facts.record.id,
    text: main?.identifier.text ?? 'no number',
    kind: main?.identifier.kind ?? 'none',
    colour: main?.identifier.colour ?? null,
    name: worn.findLast((i) => i.kind === 'name')?.text ?? null,
    hasElectronic: worn.some((i) => i.kind === 'electronic'),
    isWorn: main?.isWorn ?? false,
  };
}

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
