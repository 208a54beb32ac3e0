import { CARE_KINDS, CONDITION_STAGES, GATE_KEYS, MOBS, TAG_COLOURS } from '@yaylak/core';
import type { CareKind, ConditionStage, GateKey, Mob, SortRule, TagColour } from '@yaylak/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import {
  JOB_SUBJECTS,
  JOB_WEIGHING,
  MARK_COLOURS,
  MARK_PLACES,
  SAMPLE_PURPOSES,
  STATIONS,
  type JobSubject,
  type SamplePurpose,
  type Station,
} from './kinds';
import { IsCalendarDate, MAX_TEXT } from './rules';

/** A way out of the race; with a group, whoever leaves by it is moved there. */
export class GateChoice {
  @IsIn(GATE_KEYS)
  key: GateKey;
  @IsString()
  @Length(1, 40)
  name: string;
  @IsOptional()
  @IsUUID()
  groupId?: string;
}

export class WeighSettings {
  @IsIn(JOB_WEIGHING)
  method: (typeof JOB_WEIGHING)[number];
  /** What the pan weighs. */
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
}
/** The spray that shows a feed mob across the field. */
export class MobSpray {
  @IsIn(MOBS)
  mob: Mob;
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
}
export class ScoreSettings {
  /** Which aim holds. */
  @IsIn(CONDITION_STAGES)
  stage: ConditionStage;
  /** Whose hands feel; none is whoever works the job, two are held against each other. */
  @IsArray()
  @ArrayMaxSize(2)
  @ArrayUnique()
  @IsString({ each: true })
  @Length(1, MAX_TEXT, { each: true })
  scorers: string[];
  @IsArray()
  @ArrayMaxSize(MOBS.length)
  @ArrayUnique((s: MobSpray) => s.mob)
  @ValidateNested({ each: true })
  @Type(() => MobSpray)
  sprays: MobSpray[];
  @IsIn(MARK_PLACES)
  place: (typeof MARK_PLACES)[number];
}
export class TreatSettings {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(4)
  @IsUUID('all', { each: true })
  productIds: string[];
  @IsOptional()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
export class SampleSettings {
  @IsIn(SAMPLE_PURPOSES)
  purpose: SamplePurpose;
  @IsString()
  @Length(1, 40)
  firstTube: string;
}
/** Scanning, or feeling for young by hand. */
export class ScanSettings {
  @IsIn(['scan', 'palpation'])
  way: 'scan' | 'palpation';
  /** Who holds the scanner; where nobody is named, whoever works the job. */
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  testedBy?: string;
  /** Somebody who learns to tell the age beside them. */
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  learner?: string;
  /** Days since the services stay hidden, so that they do not lead the eye. */
  @IsOptional()
  @IsBoolean()
  isBlind?: boolean;
}
export class MarkSettings {
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
  @IsIn(MARK_PLACES)
  place: (typeof MARK_PLACES)[number];
  @IsString()
  @Length(1, MAX_TEXT)
  purpose: string;
  @IsOptional()
  @IsCalendarDate()
  until?: string;
}
export class CareChoice {
  @IsIn(CARE_KINDS)
  kind: CareKind;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  method?: string;
}
export class CareSettings {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(CARE_KINDS.length)
  @ValidateNested({ each: true })
  @Type(() => CareChoice)
  kinds: CareChoice[];
}
export class MoveSettings {
  @IsUUID()
  groupId: string;
}
export class IdentifySettings {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(2)
  @ArrayUnique()
  @IsIn(['visual', 'electronic'], { each: true })
  kinds: ('visual' | 'electronic')[];
  @IsOptional()
  @IsIn(TAG_COLOURS)
  colour?: TagColour;
}
/** What a gate is suggested by; see core's `SortRule`. */
export class SortRuleFacts {
  @IsIn(['weight', 'gain', 'standards', 'index'])
  by: SortRule['by'];
  /** Kilograms, kilograms a day, or points; standards need none. */
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(-10)
  @Max(3000)
  line?: number;
  @IsIn(GATE_KEYS)
  above: GateKey;
  @IsIn(GATE_KEYS)
  below: GateKey;
}
export class YoungSettings {
  /** How old they are taken to be, days; the birth is reckoned back from the job. */
  @IsInt()
  @Min(0)
  @Max(60)
  ageDays: number;
}

/** What each station has to know. A station that is not in the job needs none. */
export class StationSettings {
  @IsOptional()
  @IsIn(JOB_SUBJECTS)
  subject?: JobSubject;
  @IsOptional()
  @ValidateNested()
  @Type(() => WeighSettings)
  weigh?: WeighSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => ScoreSettings)
  score?: ScoreSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => TreatSettings)
  treat?: TreatSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => SampleSettings)
  sample?: SampleSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => ScanSettings)
  scan?: ScanSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => MarkSettings)
  mark?: MarkSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => CareSettings)
  care?: CareSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => MoveSettings)
  move?: MoveSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => IdentifySettings)
  identify?: IdentifySettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => YoungSettings)
  young?: YoungSettings;
  @IsOptional()
  @ValidateNested()
  @Type(() => SortRuleFacts)
  sort?: SortRuleFacts;
}

/** Stations, their settings and gates under a name, to start a job from. */
export class TemplateFacts {
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(STATIONS.length)
  @ArrayUnique()
  @IsIn(STATIONS, { each: true })
  stations: Station[];
  @ValidateNested()
  @Type(() => StationSettings)
  settings: StationSettings;
  @IsArray()
  @ArrayMaxSize(3)
  @ValidateNested({ each: true })
  @Type(() => GateChoice)
  gates: GateChoice[];
}
export class KeepTemplate extends TemplateFacts {
  @IsUUID()
  id: string;
}
export interface TemplateView extends TemplateFacts {
  /** Shipped ones have a name for an id and cannot be changed. */
  readonly id: string;
  readonly isShipped: boolean;
}
