import { FLUSHING_SCHOOLS, REMATING_SCHOOLS, SPECIES } from '@yaylak/core';
import type { FlushingSchool, RematingSchool, Species } from '@yaylak/core';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import { IsCalendarDate, IsDayMap, MAX_TEXT } from './rules';

export class WantedSetting {
  @IsIn(['births', 'sale'])
  what: 'births' | 'sale';
  @IsCalendarDate()
  on: string;
  /** How old they are sold, where a sale is wanted. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(1500)
  saleAgeDays?: number;
}
export class PlannedDoseSetting {
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @MayBeMissing()
  @IsUUID()
  productId?: string;
  @IsInt()
  @Min(0)
  @Max(200)
  daysBeforeBirth: number;
}

/** A plan of a season or of a rolling cycle, as it is kept. Which fields a kind needs is the server's rule. */
export class PlanFacts {
  @IsIn(['season', 'rolling'])
  kind: 'season' | 'rolling';
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  @IsInt()
  @Min(1)
  @Max(20_000)
  females: number;
  @IsCalendarDate()
  matingOn: string;
  /** Days a step was moved off its reckoned place. */
  @IsDayMap('shift')
  shifts: Record<string, number>;
  /** Steps written down as done, with the day. */
  @IsDayMap('date')
  done: Record<string, string>;
  @MayBeMissing()
  @IsNested(() => WantedSetting)
  wanted?: WantedSetting;
  @MayBeMissing()
  @IsIn(Object.keys(FLUSHING_SCHOOLS))
  flushing?: FlushingSchool;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(12)
  cycles?: number;
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(8)
  @IsNestedList(() => PlannedDoseSetting)
  doses?: PlannedDoseSetting[];
  @MayBeMissing()
  @IsIn(Object.keys(REMATING_SCHOOLS))
  school?: RematingSchool;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(12)
  litters?: number;
}
export class CreatePlan extends PlanFacts {
  @IsUUID()
  id: string;
}
export class ChangePlan extends PlanFacts {
  @IsInt()
  @Min(1)
  version: number;
}

export class AwaySetting {
  @IsCalendarDate()
  from: string;
  @IsCalendarDate()
  to: string;
  @IsString()
  @Length(1, MAX_TEXT)
  why: string;
}
const MONTH_DAY = /^(0[13578]|1[02])-(0[1-9]|[12]\d|3[01])$|^(0[469]|11)-(0[1-9]|[12]\d|30)$|^02-(0[1-9]|[12]\d)$/;
export class LeanSetting {
  @Matches(MONTH_DAY, { message: '$property is not a day of the year; write it as 07-15' })
  from: string;
  @Matches(MONTH_DAY, { message: '$property is not a day of the year; write it as 07-15' })
  to: string;
  @IsString()
  @Length(1, MAX_TEXT)
  why: string;
}
export class PensSetting {
  @IsIn(SPECIES)
  species: Species;
  @IsInt()
  @Min(0)
  @Max(5000)
  pens: number;
}
/** What there is of hands, pens and feed; plans are held against it. */
export class ResourcesSetting {
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(200)
  workDaysPerWeek?: number;
  @IsArray()
  @ArrayMaxSize(SPECIES.length)
  @IsNestedList(() => PensSetting)
  birthPens: PensSetting[];
  @IsArray()
  @ArrayMaxSize(40)
  @IsNestedList(() => AwaySetting)
  away: AwaySetting[];
  @IsArray()
  @ArrayMaxSize(12)
  @IsNestedList(() => LeanSetting)
  lean: LeanSetting[];
  /** Heat waves, as seed suffers in them. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(100)
  @IsNestedList(() => AwaySetting)
  hot?: AwaySetting[];
}

/** What the calendar says beside the plan, and whether it rings. */
export class CalendarSetting {
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  ownText?: string;
  /** Days before; none rings where it is not given. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(60)
  alarmDays?: number;
}
export class CalendarQuery {
  @MayBeMissing()
  @IsString()
  @MaxLength(80)
  key?: string;
}

export interface HappenedView {
  readonly from: string;
  readonly to: string;
  readonly head: number;
}
/** A plan with what the book knows of those it is for. */
export interface PlanView {
  readonly id: string;
  readonly version: number;
  readonly facts: PlanFacts;
  readonly groupName: string | null;
  readonly animalIds: readonly string[];
  readonly femalesInBook: readonly { readonly bornOn: string | null; readonly lastBirthOn: string | null }[];
  readonly males: { readonly grown: number; readonly young: number };
  /** What came of its steps, by key. */
  readonly happened: Readonly<Record<string, HappenedView>>;
}
export interface SeasonView {
  readonly on: string;
  readonly plans: readonly PlanView[];
  readonly calendarKey: string;
}
