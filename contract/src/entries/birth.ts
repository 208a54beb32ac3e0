import { AFTERBIRTHS, EASES, MOTHERINGS, PRESENTATIONS, SEXES, SPECIES } from '@yaylak/core';
import type { Afterbirth, Ease, Mothering, Presentation, Sex, Species } from '@yaylak/core';
import { IsIn, IsInt, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { IsDeadYoung, IsLocalTime, MAX_TEXT } from '../rules';

/** One born dead: it gets no number and no page. */
export interface DeadYoung {
  readonly sex: Sex;
  readonly kg?: number;
}

/** She gave birth. Those alive come into the book as animals of their own, with her as their dam. */
export class BirthEntry extends AnimalEntryBase {
  static readonly example = {
    at: '2026-11-01T06:10',
    alive: 1,
    dead: 1,
    deadYoung: [{ sex: 'male', kg: 3.1 }],
    ease: 'pulled-hard',
    presentation: 'leg-back',
    help: 'pushed back, leg found',
    mothering: 'good',
    afterbirth: 'waiting',
    litterKg: 3.4,
    species: 'sheep',
    reason: 'long in the passage',
  };

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
