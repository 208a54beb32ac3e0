import { addDays, type Day } from '../calendar';
import type { Spell } from '../mating';
import { ageFit, conceptionDay, scanAgeSd, siresAmong, type AgeFit, type ScannedAge } from './ageFit';
import type { AnimalId } from '../units';

/** A service she may have conceived by. */
export interface ConceivedBy {
  readonly spell: Spell;
  readonly on: Day;
  /** Of all she may have; they add up to 1. */
  readonly share: number;
  /** Standard deviation of the day, in days; 0 of a service seen. */
  readonly sd: number;
}

/** The service a female may be carrying from, and the others she may. */
export interface CarriedSpell {
  readonly spell: Spell;
  readonly conceivedOn: Day;
  /** All of them, in order of day; where a scan fits none, the day that it says. */
  readonly conceptions: readonly ConceivedBy[];
  /** Each male's part of it, the likeliest first. */
  readonly sires: readonly { readonly maleId: AnimalId; readonly probability: number }[];
  /** What her last scan with an age says of it; undefined without one. */
  readonly fit: AgeFit | undefined;
}

const isStretch = ({ services }: Spell): boolean => services.some((s) => s.since !== undefined);

/** Services of a heat take by the last of them; of a stretch with males nothing is known but its middle. */
const likeliestDay = (spell: Spell): Day =>
  isStretch(spell) ? addDays(spell.on, Math.floor((spell.lastOn - spell.on) / 2)) : spell.lastOn;

/** Any day of a stretch is as likely as another: its standard deviation is its length over the root of 12. */
const daySd = (spell: Spell): number => (isStretch(spell) ? (spell.lastOn - spell.on) / Math.sqrt(12) : 0);

/**
 * Which of her services since the last birth a female carries from: the one her last scanned age fits, else the
 * last. The age is judged over all of them, so that a service of one that carried already is
 * found out.
 * @param spells since her last birth, in order
 * @param scans  in order of day
 * @param weights how likely she carries from each, beside the others; the last alone where none is given
 * @returns undefined without a service
 */
export function carriedSpell(
  spells: readonly Spell[],
  scans: readonly ScannedAge[],
  weights: readonly number[] = spells.map((_, i) => Number(i === spells.length - 1)),
): CarriedSpell | undefined {
  const last = spells.at(-1);
  if (!last) return undefined;
  const scan = scans.at(-1);
  const candidates = spells.map(({ on, lastOn, maleIds }, i) => ({
    from: on,
    to: lastOn,
    maleIds,
    weight: weights[i] ?? 0,
  }));
  if (!scan) {
    const sum = weights.reduce((s, w) => s + w, 0);
    const chances = sum > 0 ? weights.map((w) => w / sum) : spells.map((_, i) => Number(i === spells.length - 1));
    return {
      spell: last,
      conceivedOn: likeliestDay(last),
      conceptions: spells.map((s, i) => ({ spell: s, on: likeliestDay(s), share: chances[i] ?? 0, sd: daySd(s) })),
      sires: siresAmong(candidates, chances),
      fit: undefined,
    };
  }
  const fit = ageFit(scan, candidates);
  const conceivedOn = conceptionDay(
    scan,
    spells.flatMap((s) => s.services.map((one) => one.on)),
  );
  if (fit.kind === 'none-fits') {
    const conceptions = [{ spell: last, on: conceivedOn, share: 1, sd: scanAgeSd(scan.ageDays) }];
    return { spell: last, conceivedOn, conceptions, sires: [], fit };
  }
  const told = (s: Spell, i: number): ConceivedBy => {
    const isToldDay = i === fit.nearest;
    const isServiceDay = s.services.some((one) => one.since === undefined && one.on === conceivedOn);
    const sd = isToldDay ? (isServiceDay ? 0 : scanAgeSd(scan.ageDays)) : daySd(s);
    return { spell: s, on: isToldDay ? conceivedOn : likeliestDay(s), share: fit.chances[i] ?? 0, sd };
  };
  return {
    spell: spells[fit.nearest] ?? last,
    conceivedOn,
    conceptions: spells.map(told),
    sires: fit.sires,
    fit,
  };
}
