import {
  DATE_ORDERS,
  LOOK_POINTS,
  SEXES,
  SPECIES,
  STANDARD_RULES,
  TAG_COLOURS,
  TAG_SHAPES,
  WEEK_STARTS,
} from '@yaylak/core';
import type {
  DateOrder,
  Decision,
  PointsWeights,
  Sex,
  Species,
  SpeciesOverrides,
  SpeciesSettings,
  Standard,
  StandardRule,
  TagColour,
  TagShape,
  WeekStart,
  WeightUnit,
} from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { CullRuleSetting } from './going';
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import type { Role } from './roles';
import { MAX_TEXT, WeighsSomething } from './rules';
import { CalendarSetting, ResourcesSetting } from './season';
import { OwnWeights, RankingHowSetting } from './ranking';
import { message } from './say/say';
import { GateMark } from './stations';

/** What a book is called that nobody has named yet. */
export const UNNAMED = { name: message('My holding'), keeper: message('Keeper') };

export class StandardSetting implements Standard {
  @IsString()
  @Length(1, 60)
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(SEXES.length)
  @IsIn(SEXES, { each: true })
  sexes: Sex[];
  @IsString()
  @Length(1, 40)
  name: string;
  @IsString()
  @Length(0, MAX_TEXT)
  fails: string;
  @IsIn(['go', 'points'])
  kind: 'go' | 'points';
  /** Points under which it is failed. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(LOOK_POINTS)
  least?: number;
  @MayBeMissing()
  @IsIn(STANDARD_RULES)
  rule?: StandardRule;
  @MayBeMissing()
  @IsBoolean()
  isOut?: boolean;
}

/** Whose hand the others are held against, and whose scores are set right by it. */
export class ScorersSetting {
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reference?: string;
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, MAX_TEXT, { each: true })
  setRight: string[];
}

/** A bag of blank tags: numbers with the same text before a running number, from and to. */
export class BlankTags {
  @IsString()
  @Length(1, 60)
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(TAG_COLOURS)
  colour: TagColour;
  @IsIn(TAG_SHAPES)
  shape: TagShape;
  @IsString()
  @Length(1, 40)
  first: string;
  @IsString()
  @Length(1, 40)
  last: string;
}

/** What is sprayed on whom a choice keeps, puts second, sells or culls; what has none is not sprayed. */
export class DecisionMarksSetting implements Partial<Record<Decision, GateMark>> {
  @MayBeMissing()
  @IsNested(() => GateMark)
  keep?: GateMark;
  @MayBeMissing()
  @IsNested(() => GateMark)
  second?: GateMark;
  @MayBeMissing()
  @IsNested(() => GateMark)
  sell?: GateMark;
  @MayBeMissing()
  @IsNested(() => GateMark)
  cull?: GateMark;
}

/** A way to rank kept under a name. */
export class RankingPreset {
  @IsString()
  @Length(1, 60)
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsString()
  @Length(1, 40)
  name: string;
  @IsNested(() => RankingHowSetting)
  how: RankingHowSetting;
}

/** How the holding chooses. */
export class ChoosingSetting {
  /** The first of a species is what its sets begin with. */
  @IsArray()
  @ArrayMaxSize(40)
  @IsNestedList(() => RankingPreset)
  presets: RankingPreset[];
  /** By which the grown go; the usual ones where it is not set. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(200)
  @IsNestedList(() => CullRuleSetting)
  rules?: CullRuleSetting[];
}

/** A change of the holding's settings on a version of them. */
export class ChangeHolding {
  @IsInt()
  @Min(1)
  version: number;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  name?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  keeper?: string;
  @MayBeMissing()
  @IsIn(['kg', 'lb'])
  unit?: WeightUnit;
  /** The order days are typed in. */
  @MayBeMissing()
  @IsIn(DATE_ORDERS)
  dateOrder?: DateOrder;
  /** The day a week begins on. */
  @MayBeMissing()
  @IsIn(WEEK_STARTS)
  weekStart?: WeekStart;
  /** The species that are kept; what else is here stays in sight. */
  @MayBeMissing()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(SPECIES.length)
  @ArrayUnique()
  @IsIn(SPECIES, { each: true })
  keeps?: Species[];
  @MayBeMissing()
  @Matches(/^[A-Z]{3}$/, { message: 'currency is three capital letters, such as EUR' })
  currency?: string;
  /** Said where another currency is set and the book holds money: the figures were meant in it, none is converted. */
  @MayBeMissing()
  @IsBoolean()
  keepsFigures?: boolean;
  @MayBeMissing()
  @WeighsSomething()
  @IsNested(() => OwnWeights)
  pointsWeights?: OwnWeights;
  /** Whole fields of the species table to lay over it; checked field by field by the server. */
  @MayBeMissing()
  @IsObject()
  species?: SpeciesOverrides;
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(80)
  @IsNestedList(() => StandardSetting)
  standards?: StandardSetting[];
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(60)
  @IsNestedList(() => BlankTags)
  blankTags?: BlankTags[];
  @MayBeMissing()
  @IsNested(() => ScorersSetting)
  scorers?: ScorersSetting;
  @MayBeMissing()
  @IsNested(() => ResourcesSetting)
  resources?: ResourcesSetting;
  @MayBeMissing()
  @IsNested(() => CalendarSetting)
  calendar?: CalendarSetting;
  @MayBeMissing()
  @IsNested(() => DecisionMarksSetting)
  decisionMarks?: DecisionMarksSetting;
  @MayBeMissing()
  @IsNested(() => ChoosingSetting)
  choosing?: ChoosingSetting;
}

/** A record that cannot be used as it is stored; it is left out, and the rest of the book stands. */
export interface BookFinding {
  readonly record: 'setting' | 'product' | 'plan' | 'template' | 'job' | 'entry' | 'link' | 'clock';
  readonly id: string;
  readonly message: string;
}

export interface HoldingView {
  /** Who is logged in, and so stands under what is written; nobody in particular where the household has no accounts. */
  readonly writer: { readonly name: string; readonly role: Role } | null;
  readonly name: string;
  readonly keeper: string;
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder;
  readonly weekStart: WeekStart;
  readonly currency: string;
  readonly pointsWeights: PointsWeights;
  readonly overrides: SpeciesOverrides;
  /** Species that are kept or here, in their usual order; never none. */
  readonly keeps: readonly Species[];
  readonly species: Readonly<Record<Species, SpeciesSettings>>;
  readonly standards: readonly StandardSetting[];
  readonly blankTags: readonly BlankTags[];
  readonly scorers: ScorersSetting;
  readonly resources: ResourcesSetting;
  readonly calendar: CalendarSetting;
  readonly decisionMarks: DecisionMarksSetting;
  readonly choosing: ChoosingSetting;
  readonly version: number;
  readonly today: string;
  /** The time on the server's wall, by which a device that is away carries its day on. */
  readonly now: string;
  readonly about: {
    readonly version: string;
    readonly animals: number;
    readonly entries: number;
    readonly backups: number;
    /** A bridge to stick and crate that the server was told of. */
    readonly devicesUrl: string | null;
    /** The demo holding’s book. */
    readonly isDemo: boolean;
    /** What does not stand in the book as it should. */
    readonly findings: readonly BookFinding[];
  };
}

/** The next free numbers by a species' template. */
export interface NextNumbers {
  readonly numbers: readonly string[];
  /** Of the bag they are taken from; null where they are counted on. */
  readonly colour: TagColour | null;
}
