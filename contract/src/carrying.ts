import { SPECIES, type CarryingState, type ScanningRate } from '@yaylak/core';
import type {
  EvidenceWay,
  ScanFinding,
  Sensitivity,
  Species,
  TestResult,
  TestWay,
  TooSoonTold,
  WayOn,
} from '@yaylak/core';
import { IsIn, IsUUID } from 'class-validator';
import { MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';
import type { ChanceView } from './mating';
import { IsCalendarDate } from './rules';

/** Whose pregnancies are looked at: a species, a group or a male of it, in a season of mating by its first day. */
export class CarryingQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  @MayBeMissing()
  @IsUUID()
  maleId?: string;
  @MayBeMissing()
  @IsCalendarDate()
  season?: string;
}
export class BirthListQuery {
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
}

/** What a test said, with what else was seen. */
export interface TestView {
  readonly on: string;
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young: number | null;
  readonly ageDays: number | null;
  readonly findings: readonly ScanFinding[];
}

/** When a way of testing can tell of her; `done` once she was tested that way since the service. */
export interface TestWindowView {
  readonly way: TestWay;
  readonly window: WindowView;
  readonly isDone: boolean;
  readonly tooSoon: TooSoonTold | null;
}

/** Which service a scanned age speaks of. */
export interface AgeFitView {
  readonly scannedOn: string;
  readonly ageDays: number;
  readonly conceivedOn: string;
  /** Null where no service fits. */
  readonly servedOn: string | null;
  readonly daysOff: number | null;
  readonly sires: readonly { readonly tag: TagView; readonly probability: number }[];
}

/** What the ways on would cost, and what the suggestion hangs on; money in hundredths. */
export interface WhatNowView {
  readonly ways: readonly { readonly way: WayOn; readonly costMinor: number }[];
  readonly breakEven: number | null;
  readonly sensitivity: readonly Sensitivity[];
  /** The figures it stands on. */
  readonly keepDays: number;
  readonly keepPerDayMinor: number;
  readonly lostIfSoldMinor: number;
  readonly test: { readonly way: TestWay; readonly priceMinor: number; readonly from: string } | null;
  /** Until when she can be served again. */
  readonly serveUntil: string | null;
  readonly takes: number;
  readonly chancesUsed: number;
  readonly chances: number;
}

export type { CarryingState };

export interface CarryingFemaleView {
  readonly tag: TagView;
  readonly groupName: string | null;
  readonly state: CarryingState;
  readonly chance: ChanceView | null;
  readonly conceivedOn: string | null;
  /** How many she was last told to carry. */
  readonly young: number | null;
  readonly tests: readonly TestView[];
  readonly windows: readonly TestWindowView[];
  /** Blood taken and not answered yet. */
  readonly tubeOut: { readonly tube: string; readonly on: string } | null;
  readonly fit: AgeFitView | null;
  readonly birth: WindowView | null;
  readonly isOverdue: boolean;
  /** Of empty and doubtful ones. */
  readonly whatNow: WhatNowView | null;
  /** What was decided last of this pregnancy. */
  readonly decided: { readonly on: string; readonly decision: WayOn; readonly reason: string | null } | null;
}

/** A way of testing for the females of the page: whom it can tell of, the best day, what it costs. */
export interface TestPlanView {
  readonly way: TestWay;
  readonly isUsed: boolean;
  readonly ready: readonly TagView[];
  readonly later: readonly { readonly tag: TagView; readonly tooSoon: TooSoonTold }[];
  readonly bestDay: { readonly on: string; readonly best: number; readonly open: number } | null;
  readonly of: number;
  readonly priceMinor: number;
}

export interface InYoungView {
  readonly from: string;
  readonly base: number;
  readonly cycleDays: number;
  /** Share known or very likely in young, by day from the start of mating. */
  readonly known: readonly number[];
  /** The same with those that may be, by their probability. */
  readonly foretold: readonly number[];
  readonly aims: readonly { readonly day: number; readonly share: number }[];
  readonly weeks: readonly { readonly week: number; readonly known: number; readonly foretold: number }[];
  readonly firstCycle: number;
  readonly secondCycle: number;
  readonly threeWeeks: number;
  readonly sixWeeks: number;
  readonly medianDay: number | null;
  readonly conceived: number;
  readonly empty: number;
  /** Served, and not known yet. */
  readonly unknown: number;
  readonly notServed: number;
  readonly left: number;
  /** Of those whose young were counted; null where nobody's were. */
  readonly scanning: ScanningRate | null;
}

export interface BirthsToComeView {
  readonly from: string;
  readonly perDay: readonly number[];
  readonly sdPerDay: readonly number[];
  readonly total: number;
  readonly peakWeekFrom: string;
  readonly peakWeek: number;
  readonly peakWeekHalfWidth: number;
  readonly peakThreeDays: number;
  readonly mostBy: string;
  readonly overdue: number;
  readonly pens: number | null;
  /** Days that want more pens than there are. */
  readonly shortDays: number;
  /** Other species with births in the peak week. */
  readonly overlaps: readonly { readonly species: Species; readonly births: number }[];
}

export interface CarryingView {
  readonly on: string;
  readonly species: Species;
  readonly currency: string;
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly males: readonly TagView[];
  /** The latest first. */
  readonly seasons: readonly { readonly from: string; readonly to: string; readonly females: number }[];
  readonly season: string | null;
  /** The season whose females are awaited now; the females stand with it alone. */
  readonly isCurrent: boolean;
  readonly females: readonly CarryingFemaleView[];
  readonly testing: readonly TestPlanView[];
  readonly curve: InYoungView | null;
  readonly births: BirthsToComeView | null;
  /** Tubes that are out. */
  readonly tubesOut: number;
}

/** A tube without an answer. */
export interface TubeOutView {
  readonly sampleId: string;
  readonly tube: string;
  readonly purpose: 'pregnancy' | 'gene';
  readonly on: string;
  readonly tag: TagView;
  readonly numbers: readonly string[];
  readonly species: Species;
  readonly servedOn: string | null;
  readonly probability: number | null;
  /** Taken before the test can tell: its result is doubtful. */
  readonly isTooSoon: boolean;
}

/** How well somebody tells ages beside the scanner. */
export interface AgeingView {
  readonly learner: string;
  readonly scanner: string;
  /** Learner's and scanner's days. */
  readonly pairs: readonly (readonly [learner: number, scanner: number])[];
  readonly bias: number;
  readonly biasHalfWidth: number | null;
  readonly sd: number | null;
  readonly limits: readonly [low: number, high: number] | null;
  readonly withinFive: number;
}

/** Who gives birth when. */
export interface BirthListRow {
  readonly tag: TagView;
  readonly species: Species;
  readonly groupName: string | null;
  /** That she carries; null of one over her time. */
  readonly probability: number | null;
  readonly young: number | null;
  readonly sires: readonly string[];
  readonly servedOn: string;
  readonly birth: WindowView;
  readonly isOverdue: boolean;
}
export interface BirthListView {
  readonly on: string;
  readonly rows: readonly BirthListRow[];
}
