import {
  AFTERBIRTHS,
  COLOSTRUM_WAYS,
  EASES,
  MOTHERINGS,
  PEN_STAGES,
  PRESENTATIONS,
  SEXES,
  SPECIES,
} from '@yaylak/core';
import type { Afterbirth, ColostrumWay, Ease, Mothering, PenStage, Presentation, Sex, Species } from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import { AnimalEntryBase } from './entryBase';
import { IsCalendarDate, IsDeadYoung, IsLocalTime, MAX_TEXT } from './rules';

/** One born dead: it gets no number and no page. */
export interface DeadYoung {
  readonly sex: Sex;
  readonly kg?: number;
}

/** She gave birth. Those alive come into the book as animals of their own, with her as their dam. */
export class BirthEntry extends AnimalEntryBase {
  @IsIn(['birth'])
  type: 'birth';
  /** By the clock on the wall, where somebody was there. */
  @MayBeMissing()
  @IsLocalTime()
  at?: string;
  @IsInt()
  @Min(0)
  @Max(30)
  alive: number;
  @IsInt()
  @Min(0)
  @Max(30)
  dead: number;
  /** What is known of those born dead, for as many of them as somebody looked at. */
  @MayBeMissing()
  @IsDeadYoung(SEXES)
  deadYoung?: DeadYoung[];
  @IsIn(EASES)
  ease: Ease;
  @MayBeMissing()
  @IsIn(PRESENTATIONS)
  presentation?: Presentation;
  /** What help was given, in words. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  help?: string;
  @MayBeMissing()
  @IsIn(MOTHERINGS)
  mothering?: Mothering;
  @MayBeMissing()
  @IsIn(AFTERBIRTHS)
  afterbirth?: Afterbirth;
  /** All that were born alive on the scale together, without the pan. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  litterKg?: number;
  /** Of which species the young were said to be, where the page was one species'. */
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
  /** Why it is so all the same, where something spoke against it. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** Her afterbirth was seen, or is held back: then she is not mated until her womb is clear. */
export class AfterbirthEntry extends AnimalEntryBase {
  @IsIn(['afterbirth'])
  type: 'afterbirth';
  @IsIn(AFTERBIRTHS)
  state: Afterbirth;
}

/** Had its first milk, and when. */
export class ColostrumEntry extends AnimalEntryBase {
  @IsIn(['colostrum'])
  type: 'colostrum';
  @IsLocalTime()
  at: string;
  @IsIn(COLOSTRUM_WAYS)
  how: ColostrumWay;
}

/** Put under a dam, another's or its own again; without a dam it is reared by hand. */
export class FosteringEntry extends AnimalEntryBase {
  @IsIn(['fostering'])
  type: 'fostering';
  @MayBeMissing()
  @IsUUID()
  damId?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}

/** Taken off its dam; not done is the first of two steps, kept off her milk and still beside her. */
export class WeaningEntry extends AnimalEntryBase {
  @IsIn(['weaning'])
  type: 'weaning';
  @IsBoolean()
  isDone: boolean;
}

/** A dam goes on with her young: out of the pen they were born in, to others, to the group. */
export class PenStageEntry extends AnimalEntryBase {
  @IsIn(['pen-stage'])
  type: 'pen-stage';
  @IsIn(PEN_STAGES)
  stage: PenStage;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  pen?: string;
}

/** What a dam and her litter ate of a feed from one day to another, without what was left. */
export class FeedEntry extends AnimalEntryBase {
  @IsIn(['feed'])
  type: 'feed';
  /** The first day; `on` is the last. */
  @IsCalendarDate()
  since: string;
  @IsString()
  @Length(1, MAX_TEXT)
  feed: string;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.001)
  @Max(10_000)
  kg: number;
  /** A kilogram, in hundredths of the holding's money. */
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  priceMinor: number;
}
