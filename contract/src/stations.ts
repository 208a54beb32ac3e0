import { CARE_KINDS, CONDITION_STAGES, GATE_KEYS, MOBS, TAG_COLOURS } from '@yaylak/core';
import type { CareKind, ConditionStage, GateKey, Mob, SortRule, TagColour } from '@yaylak/core';
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
import { IsNested, IsNestedList, MayBeMissing } from './nested';
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
/** A spray mark put on at a gate. */
export class GateMark {
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
  @IsIn(MARK_PLACES)
  place: (typeof MARK_PLACES)[number];
}

export class GateChoice {
  @IsIn(GATE_KEYS)
  key: GateKey;
  @IsString()
  @Length(1, 40)
  name: string;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  /** Whoever goes out by it is for sale or slaughter: one under withdrawal is asked about first. */
  @MayBeMissing()
  @IsBoolean()
  isForSale?: boolean;
  /** Sprayed on whoever goes out by it; what it means is the gate's name. */
  @MayBeMissing()
  @IsNested(() => GateMark)
  mark?: GateMark;
  /** Heads counted in the pen behind it. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(20_000)
  counted?: number;
}

export class WeighSettings {
  @IsIn(JOB_WEIGHING)
  method: (typeof JOB_WEIGHING)[number];
  /** What the pan weighs. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  tareKg?: number;
  /** Which pan: the blue basket. */
  @MayBeMissing()
  @IsString()
  @Length(1, 40)
  tareName?: string;
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
  @IsNestedList(() => MobSpray)
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
  @MayBeMissing()
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
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  testedBy?: string;
  /** Somebody who learns to tell the age beside them. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  learner?: string;
  /** Days since the services stay hidden, so that they do not lead the eye. */
  @MayBeMissing()
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
  @MayBeMissing()
  @IsCalendarDate()
  until?: string;
}
export class CareChoice {
  @IsIn(CARE_KINDS)
  kind: CareKind;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  method?: string;
}
export class CareSettings {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(CARE_KINDS.length)
  @IsNestedList(() => CareChoice)
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
  @MayBeMissing()
  @IsIn(TAG_COLOURS)
  colour?: TagColour;
}
/** What a gate is suggested by; see core's `SortRule`. */
export class SortRuleFacts {
  @IsIn(['weight', 'gain', 'standards', 'ready', 'index'])
  by: SortRule['by'];
  /** Kilograms, kilograms a day, or points; standards need none. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(-10)
  @Max(3000)
  line?: number;
  /** Whose box it is held against, where readiness is what a gate is suggested by. */
  @MayBeMissing()
  @IsUUID()
  outletId?: string;
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
  @MayBeMissing()
  @IsIn(JOB_SUBJECTS)
  subject?: JobSubject;
  @MayBeMissing()
  @IsNested(() => WeighSettings)
  weigh?: WeighSettings;
  @MayBeMissing()
  @IsNested(() => ScoreSettings)
  score?: ScoreSettings;
  @MayBeMissing()
  @IsNested(() => TreatSettings)
  treat?: TreatSettings;
  @MayBeMissing()
  @IsNested(() => SampleSettings)
  sample?: SampleSettings;
  @MayBeMissing()
  @IsNested(() => ScanSettings)
  scan?: ScanSettings;
  @MayBeMissing()
  @IsNested(() => MarkSettings)
  mark?: MarkSettings;
  @MayBeMissing()
  @IsNested(() => CareSettings)
  care?: CareSettings;
  @MayBeMissing()
  @IsNested(() => MoveSettings)
  move?: MoveSettings;
  @MayBeMissing()
  @IsNested(() => IdentifySettings)
  identify?: IdentifySettings;
  @MayBeMissing()
  @IsNested(() => YoungSettings)
  young?: YoungSettings;
  @MayBeMissing()
  @IsNested(() => SortRuleFacts)
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
  @IsNested(() => StationSettings)
  settings: StationSettings;
  @IsArray()
  @ArrayMaxSize(3)
  @IsNestedList(() => GateChoice)
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
