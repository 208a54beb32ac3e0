import type { CopiesTrouble } from './copies';
import { IsIn } from 'class-validator';
import type { BandBlock, CarryingBlock, ReadingDoubt, Species } from '@yaylak/core';
import { MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';
import type { PenStageEntry } from './entries/penStage';
import type { GainView } from './growth';
import type { JobView } from './jobs';
import type { LoadAhead } from './loads';
import type { HeatView } from './mating';
import type { CarryingStepEntry } from './entries/carryingStep';
import type { WithheldView } from './remedies';
import type { TemplateFacts } from './stations';

/** So many of a kind, "31 ewes", where one dam's, "6 kits of K-D16"; or one by its name. */
export type DueWho =
  | { readonly count: number; readonly words: readonly [one: string, many: string]; readonly of?: string }
  | { readonly called: string };

/** Work that is due: what is done to whom, why, in which window, and what one press starts. */
export interface DueWork {
  readonly key: string;
  /** What is done, one verb each: "Weigh", "Score", "Give White drench to"; put together by `workTitle`. */
  readonly does: readonly string[];
  /** To whom; null where it is no work on animals. */
  readonly who: DueWho | null;
  /** What asks for it, one line each: "8 week weight", "Lambing 2027: score before mating". */
  readonly why: readonly string[];
  readonly group: { readonly id: string; readonly name: string } | null;
  readonly species: Species | null;
  readonly animalIds: readonly string[];
  readonly window: WindowView;
  readonly isOpen: boolean;
  /** A job at the race; null where there is none and a step is only written down as done. */
  readonly job: (Pick<TemplateFacts, 'stations' | 'settings' | 'gates'> & { readonly name: string }) | null;
  /** Steps of plans it is, to be written down as done where no record tells. */
  readonly steps: readonly { readonly planId: string; readonly key: string }[];
  /** Written down of each animal when it is done. */
  readonly writes?: DueWrites;
  /** Where it is done instead, in a place of its own. */
  readonly at?: { readonly path: string; readonly words: string };
}

/** What one press writes down of each animal, without the animal and the day. */
export type DueWrites = Pick<CarryingStepEntry, 'type' | 'step'> | Pick<PenStageEntry, 'type' | 'stage'>;

/** A female that may give birth till tomorrow evening, or is over her time. */
export interface BirthDue {
  readonly tag: TagView;
  readonly species: Species;
  readonly chance: number;
  readonly daysOver: number;
  readonly birth: WindowView;
}

export interface NotGrowingView {
  readonly tag: TagView;
  readonly species: Species;
  readonly gain: GainView;
  readonly groupMedianKgPerDay: number;
  readonly groupSize: number;
  readonly isSmallGroup: boolean;
  readonly groupName: string | null;
}

/** Something in the book a person should look at. */
export type LookAt =
  | {
      readonly kind: 'doubtful-weight';
      readonly entryId: string;
      readonly tag: TagView;
      readonly species: Species;
      readonly on: string;
      readonly kg: number;
      readonly doubt: ReadingDoubt;
    }
  | { readonly kind: 'unknown-animal'; readonly tag: TagView; readonly on: string }
  | { readonly kind: 'adult-alarm'; readonly tag: TagView; readonly message: string }
  /** Told in young on a day, due on another, and nobody said what came of it. */
  | {
      readonly kind: 'unanswered';
      readonly tag: TagView;
      readonly species: Species;
      readonly testedOn: string;
      readonly dueOn: string;
    }
  /** A buyer's day is over: what was kept for him is free again. */
  | {
      readonly kind: 'reservation-over';
      readonly tags: readonly TagView[];
      readonly buyer: string;
      readonly until: string;
    }
  /** She died or left, and her young are with nobody. */
  | { readonly kind: 'orphans'; readonly tag: TagView; readonly species: Species; readonly count: number };

/** A heat that can still be served. */
export interface HeatToServe {
  readonly species: Species;
  readonly heat: HeatView;
}

/** Young males of a kind that are to be parted from the females they run with. */
export interface PartingDue {
  readonly species: Species;
  readonly head: number;
  readonly groupName: string;
  readonly window: WindowView;
}

/** Lists of Today that can be as long as the herd: the first of each are sent unless all are asked for. */
export const LONG_LISTS = ['notGrowing', 'withheld', 'lookAt'] as const;
export type LongList = (typeof LONG_LISTS)[number];

export class TodayQuery {
  @MayBeMissing()
  @IsIn(LONG_LISTS)
  all?: LongList;
}

export interface TodayView {
  readonly on: string;
  /** By the server's clock. */
  readonly now: string;
  readonly heats: readonly HeatToServe[];
  readonly partings: readonly PartingDue[];
  readonly births: readonly BirthDue[];
  readonly due: readonly DueWork[];
  readonly notGrowing: readonly NotGrowingView[];
  /** What of whom may not be used yet. */
  readonly withheld: readonly WithheldView[];
  readonly openJobs: readonly JobView[];
  readonly lookAt: readonly LookAt[];
  /** What is wrong with the copies of the book; nothing while all is well. */
  readonly copies: CopiesTrouble | null;
  /** Grown ones that rules speak against and nobody has decided on. */
  readonly shouldGo: readonly { readonly species: Species; readonly now: number; readonly seasonEnd: number }[];
  /** So many more there are of each than were sent. */
  readonly more: Readonly<Record<LongList, number>>;
  readonly head: readonly { readonly species: Species; readonly present: number; readonly grownFemales: number }[];
}

/** A stretch a plan wants. */
export interface PlannedBlock {
  readonly kind: 'mating' | 'carrying' | 'births' | 'rearing';
  readonly from: string;
  readonly to: string;
  readonly planId: string;
  readonly name: string;
}

export interface YearBandView {
  readonly year: number;
  readonly today: string;
  readonly lanes: readonly {
    readonly species: Species;
    readonly blocks: readonly (Omit<BandBlock, 'from' | 'to' | 'batchFrom' | 'batchTo'> & {
      readonly from: string;
      readonly to: string;
      readonly batchFrom: string;
      readonly batchTo: string;
    })[];
    readonly planned: readonly PlannedBlock[];
    readonly carrying: readonly (Omit<CarryingBlock, 'from' | 'to'> & {
      readonly from: string;
      readonly to: string;
      /** The season of mating it is of, by its first day. */
      readonly season: string;
    })[];
    /** Loads that are planned. */
    readonly loads: readonly LoadAhead[];
  }[];
}
