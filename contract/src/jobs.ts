import type { Sex, Species } from '@yaylak/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsISO8601,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  ValidateNested,
} from 'class-validator';
import type { TagView } from './animals';
import type { Entry } from './entries';
import { IsCalendarDate, MAX_TEXT } from './rules';

export const STATIONS = ['weigh', 'sort'] as const;
export type Station = (typeof STATIONS)[number];

/** A way out of the race; with a group, whoever leaves by it is moved there. */
export class GateChoice {
  @IsIn(['left', 'down', 'right'])
  key: 'left' | 'down' | 'right';
  @IsString()
  @Length(1, 40)
  name: string;
  @IsOptional()
  @IsUUID()
  groupId?: string;
}

/** Starts a job; sent twice it is one job. */
export class StartJob {
  @IsUUID()
  id: string;
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsCalendarDate()
  on: string;
  @IsISO8601({ strict: true })
  startedAt: string;
  @IsString()
  @Length(1, MAX_TEXT)
  startedBy: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(STATIONS.length)
  @IsIn(STATIONS, { each: true })
  stations: Station[];
  @IsArray()
  @ArrayMaxSize(3)
  @ValidateNested({ each: true })
  @Type(() => GateChoice)
  gates: GateChoice[];
  /** Who is expected; the list is fixed when the job starts, so that the count after can be held against it. */
  @IsArray()
  @ArrayMaxSize(20_000)
  @IsUUID('all', { each: true })
  animalIds: string[];
}

export class FinishJob {
  @IsISO8601({ strict: true })
  finishedAt: string;
}

export interface JobView extends StartJob {
  readonly finishedAt: string | null;
  readonly seen: number;
  readonly expected: number;
}

/** What the race has to know of an animal, small enough to keep all of them on the device. */
export interface RosterAnimal {
  readonly tag: TagView;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly dam: string | null;
  readonly sire: string | null;
  readonly groupId: string | null;
  readonly groupName: string | null;
  /** First weight and the last few: [date, kg, method]. */
  readonly weights: readonly (readonly [on: string, kg: number, method: string])[];
  readonly identifiers: readonly string[];
}

export interface RosterView {
  readonly on: string;
  readonly animals: readonly RosterAnimal[];
}

export interface JobEntries {
  readonly job: JobView;
  readonly entries: readonly Entry[];
}
