import { byQuarter, quarterOf, type Day, type QuarterOfYear } from '../calendar';
import { mean, meanWithRange, type MeanWithRange, type Proportion } from '../statistics';
import { shareTaken, type Spell } from './services';
import type { AnimalId } from '../units';

/** A litter with both its parents. */
export interface SiredLitter {
  readonly damId: AnimalId;
  readonly sireId: AnimalId;
  readonly bornOn: Day;
  readonly size: number;
}

export interface SireRecord {
  readonly sireId: AnimalId;
  readonly litters: number;
  readonly meanSize: number;
  /**
   * How many more young a litter than the same females had by other males: the mean over females of the difference,
   * so that a male put to the best females is not praised for them. Undefined under two such females.
   */
  readonly againstOthers: (MeanWithRange & { readonly females: number }) | undefined;
}

/** What each male's litters were, the most litters first. */
export function sireRecords(litters: readonly SiredLitter[]): SireRecord[] {
  const byDam = groupBy(litters, (l) => l.damId);
  return [...groupBy(litters, (l) => l.sireId)]
    .map(([sireId, own]): SireRecord => {
      const differences = [...groupBy(own, (l) => l.damId)].flatMap(([damId, his]) => {
        const others = mean((byDam.get(damId) ?? []).flatMap((l) => (l.sireId === sireId ? [] : [l.size])));
        return others === undefined ? [] : [(mean(his.map((l) => l.size)) as number) - others];
      });
      const range = meanWithRange(differences);
      return {
        sireId,
        litters: own.length,
        meanSize: mean(own.map((l) => l.size)) as number,
        againstOthers: range && { ...range, females: differences.length },
      };
    })
    .sort((a, b) => b.litters - a.litters || (a.sireId < b.sireId ? -1 : 1));
}

export interface PairRecord {
  readonly damId: AnimalId;
  readonly sireId: AnimalId;
  readonly litters: number;
  readonly meanSize: number;
  /** Mean of her litters by other males, and how many. */
  readonly otherwise: { readonly meanSize: number; readonly litters: number } | undefined;
  readonly lastOn: Day;
}

/** Each pair that has bred, the latest litter first. */
export function pairRecords(litters: readonly SiredLitter[]): PairRecord[] {
  const byDam = groupBy(litters, (l) => l.damId);
  return [...groupBy(litters, (l) => `${l.damId} ${l.sireId}`).values()]
    .map((own): PairRecord => {
      const { damId, sireId } = own[0] as SiredLitter;
      const others = (byDam.get(damId) ?? []).filter((l) => l.sireId !== sireId);
      const meanSize = mean(others.map((l) => l.size));
      return {
        damId,
        sireId,
        litters: own.length,
        meanSize: mean(own.map((l) => l.size)) as number,
        otherwise: meanSize === undefined ? undefined : { meanSize, litters: others.length },
        lastOn: Math.max(...own.map((l) => l.bornOn)) as Day,
      };
    })
    .sort((a, b) => b.lastOn - a.lastOn || (a.damId < b.damId ? -1 : 1));
}

export interface HotSpell {
  readonly from: Day;
  readonly to: Day;
}

/** Heat harms seed that ripens for so long: services up to then after a heat wave are marked. Rule of thumb. */
export const HOT_AFTER_DAYS = 50;

/** Whether a service fell in a heat wave or so soon after one that the male's seed may have suffered. */
export const isAfterHeat = (on: Day, hot: readonly HotSpell[]): boolean =>
  hot.some((h) => on >= h.from && on <= h.to + HOT_AFTER_DAYS);

export interface QuarterRecord extends QuarterOfYear {
  readonly spells: number;
  /** Of those whose time is over. */
  readonly share: Proportion | undefined;
  readonly meanSize: number | undefined;
  /** Spells in or soon after a heat wave. */
  readonly afterHeat: number;
}

/** Services by quarter of the year (see `quarterOf`), in order: how many took, how large the litters were, how many after a heat wave. */
export function quarterRecords(spells: readonly Spell[], hot: readonly HotSpell[]): QuarterRecord[] {
  const quarters = groupBy(spells, ({ on }) => {
    const { year, quarter } = quarterOf(on);
    return `${year} ${quarter}`;
  });
  return [...quarters.values()]
    .map((own): QuarterRecord => {
      const sizes = own.flatMap((s) => (s.outcome.kind === 'born' ? [s.outcome.young] : []));
      return {
        ...quarterOf((own[0] as Spell).on),
        spells: own.length,
        share: shareTaken(own),
        meanSize: mean(sizes),
        afterHeat: own.filter((s) => isAfterHeat(s.on, hot)).length,
      };
    })
    .sort(byQuarter);
}

function groupBy<T, K>(items: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const k = key(item);
    const group = groups.get(k);
    if (group) group.push(item);
    else groups.set(k, [item]);
  }
  return groups;
}
