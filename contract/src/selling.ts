import {
  GRID_DIVISIONS,
  PAY_WAYS,
  SPECIES,
  STEPS,
  type BoxReadiness,
  type DayRun,
  type GridDivision,
  type Hanging,
  type NoDayReason,
  type PayWay,
  type SaleState,
  type Sex,
  type Species,
  type UnfitCheck,
} from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import type { TagView } from './animals';
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import { IsCalendarDate, IsGridCells, MAX_TEXT } from './rules';

const MONEY_MOST = 100_000_000;
const KG_MOST = 3_000;
const figure = { allowNaN: false, allowInfinity: false } as const;

/** Carcass weights from one to under another, and what is added a kilogram. */
export class WeightBandFacts {
  @IsNumber(figure)
  @Min(0)
  @Max(KG_MOST)
  fromKg: number;
  @MayBeMissing()
  @IsNumber(figure)
  @Min(0)
  @Max(KG_MOST)
  toKg?: number;
  @IsNumber(figure)
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  minorPerKg: number;
}

/** The field of a grid: rows from the poorest shape, columns from the leanest. */
export class GridFacts {
  @IsIn(GRID_DIVISIONS.filter((d) => d !== 'low-high'))
  shape: Exclude<GridDivision, 'low-high'>;
  @IsIn(GRID_DIVISIONS)
  fat: GridDivision;
  @IsIn(['adjustment', 'price'])
  cellsAre: 'adjustment' | 'price';
  @IsGridCells()
  cells: number[][];
}

/** What an outlet pays from a day on; hundredths of the holding's money for a kilogram, or a head. */
export class PriceListFacts {
  @IsCalendarDate()
  from: string;
  @IsNumber(figure)
  @Min(0)
  @Max(MONEY_MOST)
  baseMinor: number;
  @MayBeMissing()
  @IsNested(() => GridFacts)
  grid?: GridFacts;
  @IsArray()
  @ArrayMaxSize(20)
  @IsNestedList(() => WeightBandFacts)
  bands: WeightBandFacts[];
  @MayBeMissing()
  @IsNumber(figure)
  @Min(0.1)
  @Max(KG_MOST)
  paidUpToKg?: number;
}

/** What the outlet wants; an end that is missing is open. Kilograms live where it pays for live ones, else of carcass. */
export class WantedFacts {
  @MayBeMissing()
  @IsNumber(figure)
  @Min(0)
  @Max(KG_MOST)
  fromKg?: number;
  @MayBeMissing()
  @IsNumber(figure)
  @Min(0)
  @Max(KG_MOST)
  toKg?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  fromShape?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  toShape?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  fromFat?: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(STEPS)
  toFat?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(20_000)
  fromDays?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(20_000)
  toDays?: number;
}

/** Somewhere animals are sold, with all it pays and takes off. */
export class OutletFacts {
  @IsString()
  @Length(1, 60)
  name: string;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(PAY_WAYS)
  payBy: PayWay;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  @IsNestedList(() => PriceListFacts)
  prices: PriceListFacts[];
  /** Lost before it is weighed there, share of live weight. */
  @IsNumber(figure)
  @Min(0)
  @Max(0.3)
  shrinkShare: number;
  @IsNumber(figure)
  @Min(0)
  @Max(0.5)
  commissionShare: number;
  @IsInt()
  @Min(0)
  @Max(MONEY_MOST)
  tripMinor: number;
  /** Haulage, levies and deductions a head. */
  @IsInt()
  @Min(0)
  @Max(MONEY_MOST)
  headMinor: number;
  @IsInt()
  @Min(0)
  @Max(5_000)
  least: number;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(5_000)
  most?: number;
  /** Days of the week it runs, Monday 1 to Sunday 7; none is any day. */
  @IsArray()
  @ArrayMaxSize(7)
  @ArrayUnique()
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(7, { each: true })
  weekdays: number[];
  @IsNested(() => WantedFacts)
  wants: WantedFacts;
  @IsNumber(figure)
  @Min(0.05)
  @Max(0.99)
  leastChance: number;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  note?: string;
}
export class CreateOutlet extends OutletFacts {
  @IsUUID()
  id: string;
}
export class ChangeOutlet extends OutletFacts {
  @IsInt()
  @Min(1)
  version: number;
  /** Nothing goes there any more. */
  @MayBeMissing()
  @IsBoolean()
  isClosed?: boolean;
}
export interface OutletView {
  readonly id: string;
  readonly facts: OutletFacts;
  readonly isClosed: boolean;
  readonly version: number;
}

/** Whose worth is asked: a species, and a group of it. */
export class SellingQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  /** The split counts on outlets for those outside what they want too. */
  @MayBeMissing()
  @IsIn(['asked'])
  outside?: 'asked';
}

/** An animal at one outlet. */
export interface SaleCell {
  readonly outletId: string;
  /** What it brings there today, the trip left out; null where it has no price, is held, or was not felt. */
  readonly nowMinor: number | null;
  /** Chance to lie in its box today; by weight and age alone where nothing was felt. */
  readonly chanceNow: number;
  readonly readiness: BoxReadiness;
  /** When it brings most there. */
  readonly best: {
    readonly inDays: number;
    readonly minor: number;
    readonly run: DayRun;
  } | null;
  readonly noDay: NoDayReason | null;
}

export interface SaleRow {
  readonly tag: TagView;
  readonly sex: Sex;
  readonly ageDays: number | null;
  readonly groupName: string | null;
  readonly state: SaleState;
  /** Why nothing is known, or what holds it. */
  readonly held: {
    readonly of: 'withdrawal' | 'reserved' | 'too-young' | 'unfit';
    readonly clearOn: string | null;
    readonly buyer: string | null;
    /** Why it may be unfit to travel. */
    readonly unfit?: UnfitCheck;
  } | null;
  readonly inDays: number | null;
  /** Of one that closes: the outlet where it is ready and brings most. */
  readonly closesAtId: string | null;
  readonly weight: {
    readonly kg: number;
    readonly on: string;
    readonly nowKg: number;
    readonly nowSd: number;
    readonly gainKgPerDay: number;
    readonly gainSd: number;
    readonly ownShare: number;
    readonly isPlateau: boolean;
  } | null;
  readonly finish: { readonly on: string; readonly shape: number | null; readonly fat: number | null } | null;
  readonly feedDays: number | null;
  /** By day from today at the outlet where it brings most: what is left in the hand, less the keep; null on a day it may not go. */
  readonly curve: readonly (number | null)[];
  readonly bestOutletId: string | null;
  readonly cells: readonly SaleCell[];
  /** What it brings at its best later day, less the keep; null where it may not wait. */
  readonly staysMinor: number | null;
}

/** The pen split so that it brings most; trips are paid once. */
export interface PenSplitView {
  readonly totalMinor: number;
  /** By animal: an outlet's id, or `stays`. */
  readonly columns: Readonly<Record<string, string>>;
  /** What each outlet that could take all would bring, and what that loses against the split; the best first. */
  readonly alone: readonly { readonly outletId: string; readonly totalMinor: number; readonly losesMinor: number }[];
}

export interface SellingView {
  readonly on: string;
  readonly species: Species;
  readonly outlets: readonly OutletView[];
  readonly groups: readonly { readonly id: string; readonly name: string; readonly count: number }[];
  readonly groupId: string | null;
  readonly rows: readonly SaleRow[];
  /** Null without an outlet, or where nobody may go or stay within what the outlets take. */
  readonly split: PenSplitView | null;
  /** Outlets left out of the split: only so many are weighed against each other. */
  readonly notSplit: readonly string[];
}

/** One animal at one outlet over the coming days. */
export interface SaleOutlook {
  readonly outletId: string;
  /** By day from today; null on a day it may not go. */
  readonly margins: readonly (number | null)[];
  readonly best: SaleCell['best'];
  readonly noDay: NoDayReason | null;
  /** Four times out of five it brings this much on the best day. */
  readonly range: { readonly low: number; readonly high: number } | null;
  /** Gain that pays for its keep, kilograms a day; null where no gain does, or nothing is known. */
  readonly breakevenKgPerDay: number | null;
  readonly hangsOn: readonly Hanging[];
}

export interface SaleAnimalView {
  readonly on: string;
  readonly row: SaleRow;
  readonly outlets: readonly OutletView[];
  readonly outlooks: readonly SaleOutlook[];
}
