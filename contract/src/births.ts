import type {
  BirthQuestion,
  Afterbirth,
  ColostrumWay,
  Ease,
  Mothering,
  PenStage,
  Presentation,
  Sex,
  Species,
} from '@yaylak/core';
import { SPECIES } from '@yaylak/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, Max, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';
import { IsCalendarDate } from './rules';

export class BirthsQuery {
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
}

/** A birth as it is typed so far. */
export class DamQuery {
  @MayBeMissing()
  @IsCalendarDate()
  on?: string;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(30)
  alive?: number;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(30)
  dead?: number;
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
}

/** A male that may be the sire; nobody of the holding where the straw came from elsewhere. */
export interface SireView {
  readonly tag: TagView;
  readonly probability: number;
}

/** A female that is awaited. */
export interface ExpectedBirth {
  readonly tag: TagView;
  readonly species: Species;
  readonly groupName: string | null;
  /** That she carries; null of one over her time, of whom there is no chance but her name. */
  readonly probability: number | null;
  readonly young: number | null;
  readonly sires: readonly SireView[];
  /** A straw, or a male that is not in the book, in words. */
  readonly otherSire: string | null;
  readonly servedOn: string;
  readonly birth: WindowView;
  /** Past the usual range; 0 within it. */
  readonly daysOver: number;
  /** That she gives birth on each day from today on. */
  readonly perDay: readonly number[];
  /** What is to be done before, not done yet. */
  readonly steps: readonly { readonly name: string; readonly window: WindowView; readonly isOpen: boolean }[];
  readonly isFirst: boolean;
}

/** One of a birth. */
export interface YoungSeen {
  readonly tag: TagView;
  readonly sex: Sex;
  readonly birthKg: number | null;
  readonly colostrum: { readonly at: string; readonly how: ColostrumWay } | null;
  /** Until when it wants its first milk, where the hour of its birth is known and it had none yet. */
  readonly colostrumBy: string | null;
  /** Who rears it now, where it is not its own dam. */
  readonly rearedBy: TagView | 'by-hand' | null;
  readonly diedOn: string | null;
}

/** A birth of the last days, or one of which something is still to be done. */
export interface BirthSeen {
  readonly entryId: string | null;
  readonly tag: TagView;
  readonly species: Species;
  readonly groupName: string | null;
  readonly on: string;
  readonly at: string | null;
  readonly alive: number;
  readonly dead: number;
  readonly ease: Ease | null;
  readonly presentation: Presentation | null;
  readonly mothering: Mothering | null;
  readonly afterbirth: { readonly state: Afterbirth; readonly heldSince: string | null } | null;
  /** Why it was believed, where something spoke against it. */
  readonly reason: string | null;
  readonly sires: readonly SireView[];
  readonly young: readonly YoungSeen[];
  /** With her now, her own or not. */
  readonly rears: number;
  /** Young she left behind, dead or gone, that nobody feeds yet. */
  readonly orphans: number;
  /** The day she died or left. */
  readonly goneOn: string | null;
  readonly stage: {
    readonly now: PenStage;
    readonly next: { readonly stage: PenStage; readonly window: WindowView; readonly isOpen: boolean } | null;
  } | null;
  /** Weigh and tag the young: its window, and how many of them are still to be done. */
  readonly handling: { readonly window: WindowView; readonly left: number; readonly isOpen: boolean } | null;
}

/** How full the pens are. */
export interface PensView {
  readonly species: Species;
  readonly stage: PenStage;
  readonly taken: number;
  /** None set: the holding has not said how many there are. */
  readonly pens: number | null;
  /** Births to be expected in the next three days. */
  readonly toCome: number;
}

export interface BirthsView {
  readonly on: string;
  readonly species: Species | null;
  readonly expected: readonly ExpectedBirth[];
  /** Those to look at tonight, the likeliest first, with the chance of a birth till tomorrow evening. */
  readonly tonight: readonly { readonly animalId: string; readonly chance: number }[];
  readonly recent: readonly BirthSeen[];
  readonly pens: readonly PensView[];
  /** Births to be expected each day from today on. */
  readonly perDay: readonly number[];
}

/** What the page of a birth asks of a dam. */
export interface DamView {
  readonly tag: TagView;
  readonly species: Species;
  readonly young: number | null;
  readonly sires: readonly SireView[];
  readonly otherSire: string | null;
  readonly groupId: string | null;
  /** Young of hers or put under her that are with her now. */
  readonly rears: number;
  /** What speaks against the birth as it is typed. */
  readonly questions: readonly BirthQuestion[];
}
