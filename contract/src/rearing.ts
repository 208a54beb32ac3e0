import type { Ease, FeedVerdict, LitterGain, LitterMeans, Sex, Species, WeaningWay } from '@yaylak/core';
import { SPECIES, type RearedPerYear } from '@yaylak/core';
import { IsIn, IsString, Length } from 'class-validator';
import { MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';
import type { GainView } from './growth';
import { MAX_TEXT } from './rules';

export class RearingQuery {
  @IsIn(SPECIES)
  species: Species;
}

/** One that is reared. */
export interface RearedView {
  readonly tag: TagView;
  readonly sex: Sex;
  readonly version: number;
  readonly bornOn: string;
  readonly ageDays: number;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  /** Its birth dam, where another rears it. */
  readonly bornOf: TagView | null;
  readonly lastKg: number | null;
  readonly lastOn: string | null;
  readonly gain: GainView | null;
  /** Under 70 % of its litter's mean. */
  readonly isRunt: boolean;
  /** By gain among its contemporaries: 1 is the fastest. */
  readonly place: number | null;
  readonly of: number;
  readonly weaning: {
    readonly window: WindowView;
    readonly isReady: boolean;
    readonly step: 'first' | 'last';
    readonly waits: 'too-young' | 'too-light' | 'smaller' | 'between-steps' | null;
  };
  /** Age and kilograms. */
  readonly points: readonly (readonly [ageDays: number, kg: number])[];
}

/** What a litter put on between its last two weighings, or what a head weighed where the heads were others. */
export type LitterChangeView = LitterGain | LitterMeans;

/** Young that one dam rears. */
export interface LitterView {
  readonly dam: TagView | null;
  readonly isByHand: boolean;
  readonly species: Species;
  readonly bornOn: string;
  readonly ageDays: number;
  readonly bornAlive: number;
  readonly bornDead: number;
  readonly lost: number;
  readonly young: readonly RearedView[];
  /** Of the whole litter: age, head and kilograms together. */
  readonly days: readonly { readonly ageDays: number; readonly count: number; readonly totalKg: number }[];
  readonly last: LitterChangeView | null;
  readonly daysWithout: number | null;
  /** How it is to be weighed today by the holding's rhythm, where it was not yet. */
  readonly toWeigh: 'together' | 'each' | null;
  readonly weaning: { readonly way: WeaningWay; readonly ready: number; readonly window: WindowView };
  /** When the dam may be mated again; null where no day is known. */
  readonly damNext: { readonly isReady: boolean; readonly readyOn: string | null } | null;
}

/** Young that died before weaning. */
export interface LossView {
  readonly tag: TagView;
  readonly dam: TagView | null;
  readonly on: string;
  readonly ageDays: number;
  readonly cause: string | null;
}

/** Losses close together of one cause. */
export interface LossCluster {
  readonly cause: string;
  readonly count: number;
  readonly from: string;
  readonly to: string;
  readonly dams: readonly TagView[];
}

export interface SeasonTallyView {
  readonly from: string;
  readonly to: string;
  readonly isOpen: boolean;
  readonly females: number;
  readonly gaveBirth: number;
  readonly litters: number;
  readonly scannedFemales: number;
  readonly scanned: number;
  readonly bornAlive: number;
  readonly bornDead: number;
  readonly reared: number;
  readonly withHer: number;
  readonly scannedPercent: number | null;
  readonly bornPercent: number | null;
  readonly rearedPercent: number | null;
  readonly bornALitter: number | null;
  readonly rearedALitter: number | null;
  readonly lost: { readonly beforeBirth: number; readonly atBirth: number; readonly inRearing: number };
}

export interface RearingView {
  readonly on: string;
  readonly species: Species;
  readonly way: WeaningWay;
  /** Young are counted and weighed as litters, not to a hundred females. */
  readonly isByLitter: boolean;
  /** Males are kept apart from this age on, days. */
  readonly malesApartDays: number;
  /** Groups weaned young may go to. */
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly litters: readonly LitterView[];
  readonly losses: readonly LossView[];
  readonly clusters: readonly LossCluster[];
  /** Born alive in the last year and a half, and still alive at weaning or since. */
  readonly survival: { readonly reared: number; readonly of: number } | null;
  readonly seasons: readonly SeasonTallyView[];
}

export const LITTER_GROUPS = ['doe', 'buck', 'pair', 'season'] as const;
export type LitterGroupBy = (typeof LITTER_GROUPS)[number];
export const LITTER_VALUES = ['born', 'reared', 'weaned-kg'] as const;
export type LitterValue = (typeof LITTER_VALUES)[number];

export class LittersQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsIn(LITTER_GROUPS)
  by?: LitterGroupBy;
  @MayBeMissing()
  @IsIn(LITTER_VALUES)
  value?: LitterValue;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  dearer?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  cheaper?: string;
}

export interface LitterGroupView {
  readonly name: string;
  readonly tags: readonly TagView[];
  readonly litters: number;
  readonly mean: number;
  readonly difference: number;
  readonly halfWidth: number;
  readonly sureness: 'guess' | 'fair' | 'good';
}

export interface TrendView {
  readonly tag: TagView;
  readonly sizes: readonly number[];
  readonly kind: 'falling' | 'rising' | 'steady' | 'too-few';
  readonly litters: number;
  readonly perLitter: number | null;
  readonly low: number | null;
  readonly high: number | null;
  /** The same of what reached weaning, and of the kilograms weaned, from four litters on. */
  readonly also: readonly {
    readonly of: 'survival' | 'weaned-kg';
    readonly kind: 'falling' | 'rising' | 'steady';
    readonly perLitter: number;
    readonly low: number;
    readonly high: number;
  }[];
  /** Why she is to be retired, in words; null where nothing says so. */
  readonly suggestion: string | null;
  readonly lastScore: number | null;
  readonly alarm: string | null;
}

export interface FeedArmView {
  readonly feed: string;
  readonly priceMinor: number;
  readonly records: number;
  /** Litters on the feed that were not weighed near its beginning and end, and tell nothing. */
  readonly leftOut: number;
  readonly feedPerKgGained: number;
  readonly costMinorPerKg: number;
}

/** All litters on a feed together gained nothing: nothing can be said of what a kilogram gained costs. */
export interface FeedNoGainView {
  readonly kind: 'no-gain';
  readonly feed: string;
}

/** No litter on a feed was weighed near its beginning and end. */
export interface FeedNotWeighedView {
  readonly kind: 'not-weighed';
  readonly feed: string;
  readonly litters: number;
}

export interface FeedTrialView {
  readonly kind: 'found';
  readonly dearer: FeedArmView;
  readonly cheaper: FeedArmView;
  readonly differenceMinor: number;
  readonly halfWidthMinor: number | null;
  readonly verdict: FeedVerdict;
  readonly perYoungMinor: number;
  readonly youngKg: number;
  readonly moreNeeded: number | null;
}

export interface LittersView {
  readonly on: string;
  readonly species: Species;
  readonly currency: string;
  readonly by: LitterGroupBy;
  readonly value: LitterValue;
  readonly litters: number;
  readonly mean: number | null;
  readonly groups: readonly LitterGroupView[];
  readonly trends: readonly TrendView[];
  /** All feeds written down, by their price. */
  readonly feeds: readonly { readonly feed: string; readonly priceMinor: number; readonly litters: number }[];
  readonly trial: FeedTrialView | FeedNoGainView | FeedNotWeighedView | null;
}

/** One birth in a female's record. */
export interface LifeLitter {
  readonly on: string;
  readonly sires: readonly TagView[];
  readonly alive: number;
  readonly dead: number;
  readonly ease: Ease | null;
  readonly fosteredAway: number;
  readonly fosteredTo: number;
  readonly lost: number;
  readonly reared: number;
  readonly withHer: number;
  readonly weanedKg: number | null;
  /** Days since the birth before it. */
  readonly intervalDays: number | null;
  /** Her young of it that are here. */
  readonly here: readonly TagView[];
}

/** What a female did, beside the others of her species. */
export interface LifeView {
  readonly on: string;
  readonly tag: TagView;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly groupName: string | null;
  readonly dam: TagView | null;
  readonly sire: TagView | null;
  readonly litters: readonly LifeLitter[];
  readonly sums: {
    readonly litters: number;
    readonly born: number;
    readonly dead: number;
    readonly reared: number;
    readonly perYear: RearedPerYear | null;
    /** Of the litters whose young were all weighed near weaning; null without one. */
    readonly weaned: { readonly litters: number; readonly kgALitter: number } | null;
    /** What she weans a year for her own weight; null where a weight is missing. */
    readonly forWeight: { readonly kgAYear: number; readonly forAKg: number; readonly damKg: number } | null;
    readonly meanIntervalDays: number | null;
    readonly hardBirths: number;
  };
  /** The same of the others, a litter. */
  readonly others: {
    readonly females: number;
    readonly bornALitter: number | null;
    readonly rearedALitter: number | null;
    readonly intervalDays: number | null;
  };
  readonly trend: TrendView | null;
}
