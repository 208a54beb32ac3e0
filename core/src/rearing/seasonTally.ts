import { scanningRate } from '../pregnancy';
import type { AnimalId } from '../units';

/** A litter of a season, or a female that had none, from the male to weaning. */
export interface FemaleOfSeason {
  readonly femaleId: AnimalId;
  /** Young seen at the last scan with a count. */
  readonly scanned: number | undefined;
  readonly bornAlive: number;
  readonly bornDead: number;
  readonly gaveBirth: boolean;
  /** Reached weaning, each counted at the dam that reared it. */
  readonly reared: number;
  /** Still with her. */
  readonly withHer: number;
}

export interface SeasonTally {
  /** Each once, however many litters she had in it. */
  readonly females: number;
  readonly gaveBirth: number;
  readonly litters: number;
  /** Of those scanned. */
  readonly scannedFemales: number;
  readonly scanned: number;
  readonly bornAlive: number;
  readonly bornDead: number;
  readonly reared: number;
  readonly withHer: number;
  /** Young to 100 females put to the male; undefined without a female, scanned without one scanned. */
  readonly scannedPercent: number | undefined;
  readonly bornPercent: number | undefined;
  readonly rearedPercent: number | undefined;
  /** Young to a litter; undefined without one. */
  readonly bornALitter: number | undefined;
  readonly rearedALitter: number | undefined;
  /** Where they were lost, of each stage's own young; negative where more were born than scanned. */
  readonly lost: {
    /** Of those scanned in females that were. */
    readonly beforeBirth: number;
    readonly atBirth: number;
    /** Born alive and neither reared nor still with a dam. */
    readonly inRearing: number;
  };
}

/** The young of a season to a hundred females and to a litter, and where they were lost between scan, birth and weaning. */
export function seasonTally(season: readonly FemaleOfSeason[]): SeasonTally {
  const sum = (of: (f: FemaleOfSeason) => number): number => season.reduce((s, f) => s + of(f), 0);
  const heads = (of: readonly FemaleOfSeason[]): number => new Set(of.map((f) => f.femaleId)).size;
  const females = heads(season);
  const births = season.filter((f) => f.gaveBirth);
  const litters = births.length;
  const wereScanned = season.filter((f) => f.scanned !== undefined);
  const rate = scanningRate(wereScanned.map((f) => f.scanned ?? 0));
  const scanned = rate?.young ?? 0;
  const [bornAlive, bornDead] = [sum((f) => f.bornAlive), sum((f) => f.bornDead)];
  const [reared, withHer] = [sum((f) => f.reared), sum((f) => f.withHer)];
  const percent = (count: number, of: number): number | undefined => (of === 0 ? undefined : (100 * count) / of);
  return {
    females,
    gaveBirth: heads(births),
    litters,
    scannedFemales: wereScanned.length,
    scanned,
    bornAlive,
    bornDead,
    reared,
    withHer,
    scannedPercent: rate?.per100,
    bornPercent: percent(bornAlive, females),
    rearedPercent: percent(reared, females),
    bornALitter: litters === 0 ? undefined : bornAlive / litters,
    rearedALitter: litters === 0 ? undefined : reared / litters,
    lost: {
      beforeBirth: scanned - wereScanned.reduce((s, f) => s + f.bornAlive + f.bornDead, 0),
      atBirth: bornDead,
      inRearing: bornAlive - reared - withHer,
    },
  };
}
