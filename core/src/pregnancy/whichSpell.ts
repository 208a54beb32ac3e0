import { addDays, type Day } from '../calendar';
import type { Spell } from '../mating';
import { ageFit, conceptionDay, type AgeFit, type ScannedAge } from './ageFit';

/** The service a female may be carrying from. */
export interface CarriedSpell {
  readonly spell: Spell;
  readonly conceivedOn: Day;
  /** What her last scan with an age says of it; undefined without one. */
  readonly fit: AgeFit | undefined;
}

/** Services of a heat take by the last of them; of a stretch with males nothing is known but its middle. */
const likeliestDay = ({ on, lastOn, services }: Spell): Day =>
  services.some((s) => s.since !== undefined) ? addDays(on, Math.floor((lastOn - on) / 2)) : lastOn;

/** A stretch of services as a candidate of the age fit: from its first to its last day. */
const asCandidate = ({ on, lastOn, maleIds }: Spell) => ({ from: on, to: lastOn, maleIds });

/**
 * Which of her services since the last birth a female carries from: the one her last scanned age fits, else the last
 * one. The age is judged over all of them, so that a service of one that carried already is found out.
 * @param spells since her last birth, in order
 * @param scans  in order of day
 * @returns undefined without a service
 */
export function carriedSpell(spells: readonly Spell[], scans: readonly ScannedAge[]): CarriedSpell | undefined {
  const last = spells.at(-1);
  if (!last) return undefined;
  const scan = scans.at(-1);
  if (!scan) return { spell: last, conceivedOn: likeliestDay(last), fit: undefined };
  const fit = ageFit(scan, spells.map(asCandidate));
  const spell = (fit.kind === 'fits' ? spells[fit.nearest] : undefined) ?? last;
  const days = spells.flatMap((s) => s.services.map((one) => one.on));
  return { spell, conceivedOn: conceptionDay(scan, days), fit };
}
