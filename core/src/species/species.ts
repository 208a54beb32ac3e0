import type { WindowDays } from '../calendar';
import type { Kilograms, KilogramsPerDay, Days, Hours } from '../units';

export const SPECIES = ['sheep', 'goat', 'rabbit', 'cattle'] as const;
export type Species = (typeof SPECIES)[number];

/** One value a species. */
export const bySpecies = <T>(make: (species: Species) => T): Readonly<Record<Species, T>> =>
  Object.fromEntries(SPECIES.map((species) => [species, make(species)])) as Record<Species, T>;

export const SEXES = ['female', 'male', 'castrate', 'unknown'] as const;
export type Sex = (typeof SEXES)[number];

/** What a female is weighed around: the day she may be mated or is planned to, her last service, her young weaned. */
export const WEIGHED_AROUND = ['mating', 'service', 'weaning'] as const;
export type WeighedAround = (typeof WEIGHED_AROUND)[number];

/** One step of the weighing rhythm. Ages in days from birth. */
export type WeighingStep =
  | { readonly kind: 'at-age'; readonly name: string; readonly window: WindowDays }
  /** Of females; days from what it is around, under 0 for before it. */
  | { readonly kind: 'around'; readonly name: string; readonly event: WeighedAround; readonly window: WindowDays }
  | {
      readonly kind: 'every';
      readonly name: string;
      readonly fromDays: Days;
      readonly toDays: Days;
      readonly everyDays: Days;
    };

/** Multiplies a weight to what it would have been for the base animal; 1 is the base class. */
export type FactorTable = Readonly<Record<string, number>>;

/** Shipped factors by class; which key belongs to which animal is said by `factorKeys` in growth. */
export interface GrowthFactors {
  readonly sex: FactorTable;
  /** Whether `birthType` has keys of born-and-reared (`2-1`) or bands of litter size (`5-7`). */
  readonly birthTypeBy: 'born-reared' | 'litter-size';
  readonly birthType: FactorTable;
  readonly damAge: FactorTable;
}

/** When in the year condition is looked at. */
export const CONDITION_STAGES = ['weaning', 'mating', 'carrying', 'birth'] as const;
export type ConditionStage = (typeof CONDITION_STAGES)[number];

/** Females of whom more or less is wanted than of the others. */
export const FEMALE_KINDS = ['usual', 'first-timer', 'many-reared', 'heavy-milker'] as const;
export type FemaleKind = (typeof FEMALE_KINDS)[number];

/** What is wanted of the condition of females, by hand on the scale of 1 to 5. */
export interface ConditionAims {
  /** Score wanted at each stage, of the usual female. */
  readonly aims: Readonly<Record<ConditionStage, number>>;
  /** What is added for the other kinds, at every stage. */
  readonly more: Readonly<Record<Exclude<FemaleKind, 'usual'>, number>>;
  /** Share of a group that should be at or over the aim. */
  readonly shareWanted: number;
  /** At or under the aim by so much is thin, at or over it by so much is fat. */
  readonly thinUnder: number;
  readonly fatOver: number;
  /** Under this score is an alarm before birth. */
  readonly alarmUnder: number;
  /** Kilograms a score is, as a share of the weight at score 3; 0 where none is known. */
  readonly kgPerScoreShare: number;
  /** The fastest a score is put on, days a score. */
  readonly daysPerScore: number;
}

/** Dates of a season, as days before or after the day the males go in unless said otherwise. */
export interface SeasonDays {
  /** The males stay for so many heat cycles. */
  readonly cycles: number;
  readonly maleCheckBefore: number;
  /** The young of the last crop are off their dams by then. */
  readonly weanedBefore: number;
  readonly scoringBefore: number;
  readonly flushingBefore: number;
  readonly mineralsBefore: number;
  /** Days before the first birth. */
  readonly birthScoringBefore: number;
  readonly birthMineralsBefore: number;
  /** Days after a birth. */
  readonly processingAfter: number;
  /** Share of heats served that take. */
  readonly conceptionShare: number;
}

/** Ways to find out whether a female carries; each species has some of them. */
export const TEST_WAYS = ['blood', 'scan', 'palpation'] as const;
export type TestWay = (typeof TEST_WAYS)[number];

/** What a way of testing can tell, and when. */
export interface TestRules {
  /** Days after the service; the best stretch is the one in which young can be counted as well, where they can. */
  readonly days: WindowDays;
  /** Days after her last birth before which what is left of it may be found. */
  readonly afterBirthDays: Days;
  /** Share of those that carry that it finds, and of those that are empty. */
  readonly sensitivity: number;
  readonly specificity: number;
  /** A head, in hundredths of the holding's money. */
  readonly priceMinor: number;
  /** This way is used here and asked for when it is due. */
  readonly isUsed: boolean;
}

/** What a season is held against, and what a mistake costs; money in hundredths of the holding's. */
export interface CarryingRules {
  /** Share wanted in young after the first and the second heat cycle, and in the end. */
  readonly aimFirst: number;
  readonly aimSecond: number;
  readonly aimLast: number;
  /** Feeding an empty one for a day. */
  readonly keepPerDayMinor: number;
  /** What one in young is worth over what she brings as a cull. */
  readonly lostIfSoldMinor: number;
  /** Putting her to the male again. */
  readonly serveAgainMinor: number;
  /** What young born a cycle or two late are worth less. */
  readonly lateYoungMinor: number;
  /** Seasons without a birth that are forgiven. */
  readonly secondChances: number;
}

export const CARRYING_STEP_KINDS = ['nest', 'move', 'feed', 'give', 'look'] as const;
/** Something done before a birth, as the holding does it. */
export interface CarryingStep {
  readonly kind: (typeof CARRYING_STEP_KINDS)[number];
  readonly name: string;
  /** Best done so many days before the birth, and so many days earlier or later at the most. */
  readonly daysBefore: number;
  readonly slackDays: Days;
}

/** How young are weaned: all at once, each that is heavy enough, the biggest first, or in two steps. */
export const WEANING_WAYS = ['at-once', 'by-weight', 'biggest-first', 'two-steps'] as const;
export type WeaningWay = (typeof WEANING_WAYS)[number];

/** From the birth to weaning. Days from birth; weights in kilograms. */
export interface RearingRules {
  /** First milk within so many hours. */
  readonly colostrumHours: Hours;
  /** An afterbirth that has not passed after so many hours is held back. */
  readonly afterbirthHours: Hours;
  /** A dam stays in the pen of the birth so long; each young over one adds a day. 0: she goes nowhere. */
  readonly bondingDays: Days;
  /** With other dams and their young up to this age, then to the group. 0: none. */
  readonly mixingDays: Days;
  readonly weaningWay: WeaningWay;
  /** Heavy enough to be weaned. */
  readonly weaningKg: Kilograms;
  /** Small ones, or the second step, so many days later. */
  readonly stepDays: Days;
  /** The whole litter on the scale every day up to this age, then each every day up to the next. 0: not at all. */
  readonly litterDailyDays: Days;
  readonly eachDailyDays: Days;
  /** Young of a birth beside a grown female's usual, by the place of the birth in her row; the last serves the rest. */
  readonly youngByBirth: readonly number[];
  /** Spread of the young of one birth (SD). */
  readonly youngSd: number;
  /** So many born dead at one birth are asked about before they are believed, as are births of nobody alive. */
  readonly deadAskedFrom: number;
}

/**
 * When a heat is served: by hours from the start of standing heat, or seen in the morning serve in the evening and the
 * other way.
 */
export const HEAT_SCHOOLS = ['hours', 'morning-evening'] as const;
export type HeatSchool = (typeof HEAT_SCHOOLS)[number];

/** Whether grandparents and grandyoung are forbidden too, or judged by their inbreeding alone. */
export const GRANDPARENT_RULES = ['forbidden', 'by-inbreeding'] as const;
export type GrandparentRule = (typeof GRANDPARENT_RULES)[number];

/** Who may be mated, and how heats are judged. */
export interface MatingRules {
  /** Of a female's mature weight at her first mating. */
  readonly firstMatingShare: number;
  /** Heats let go by before the first mating. */
  readonly heatsSkipped: number;
  /** Under this condition score a female is not mated. */
  readonly scoreLeast: number;
  /** Males: first use, grown, flagged as old (years), kept apart from females from; days old. */
  readonly maleFirstDays: Days;
  readonly maleGrownDays: Days;
  readonly maleOldYears: number;
  readonly malesApartDays: Days;
  /** A male whose share of females that take is surely under this is to be replaced. */
  readonly maleShareLeast: number;
  /** Services in a week after which a grown male rests; a young one after half as many. */
  readonly maleServicesPerWeek: number;
  /** A check of the male is good for so many days. */
  readonly maleCheckGoodDays: Days;
  /** Signs that must agree for a heat, where standing was not seen. */
  readonly signsNeeded: number;
  readonly heatSchool: HeatSchool;
  /** Share of heats in empty females that are seen, with two looks a day. */
  readonly heatsSeenShare: number;
}

/** Which pairs are not put together. */
export interface PairingRules {
  /** Expected inbreeding of the young over which a pair is forbidden; at it, it is allowed. */
  readonly inbreedingMost: number;
  readonly grandparents: GrandparentRule;
  /** Probability of an affected young from which a pair is forbidden. */
  readonly affectedLeast: number;
  /** Share of a recessive disorder's allele in the base, where nobody was tested. */
  readonly alleleFrequency: number;
}

/** Who is chosen among. */
export interface ChoosingRules {
  /** A crop of young spans no more days of birth than these. */
  readonly widestCropDays: Days;
  /** Young are chosen as a crop to this age; after it they are among the grown. */
  readonly youngDays: Days;
  /** Animals born in so many years up to now are what a breeding value is held against. */
  readonly baseYears: number;
  /** A young reared to weaning, a cull, a replacement ready to be mated; hundredths of the holding's money. */
  readonly youngMinor: number;
  readonly cullMinor: number;
  readonly replacementMinor: number;
  /** Years a female is used. */
  readonly usefulYears: number;
  /** Years from birth to the first mating: 1, or 2 where it is done as a yearling. */
  readonly matedAtYears: number;
  /** Share of a grown female's young that one of so many whole years rears; the last serves the rest. */
  readonly rearedByAge: readonly number[];
  /** Share that dies in a year, and that is culled in it by whole years of age; the last serves the rest. */
  readonly diesShare: number;
  readonly culledByAge: readonly number[];
  /** Young females brought to one year, a female a year. */
  readonly daughtersAYear: number;
}

/** How early a breed or kind lays on fat. */
export const FAT_GROUPS = ['early', 'middle', 'late'] as const;
export type FatGroup = (typeof FAT_GROUPS)[number];

/** Kinds of animal that kill out alike. */
export const KILLING_KINDS = ['lamb', 'kid', 'rabbit', 'beef', 'dairy-cross', 'dairy'] as const;
export type KillingKind = (typeof KILLING_KINDS)[number];

/** How those for sale are kept and taken to be. */
/** A breed or kind of the holding's own list. */
export interface Breed {
  readonly name: string;
  readonly fatGroup: FatGroup;
}

export interface SellingRules {
  /** Feed and keep of one that waits, a day; hundredths of the holding's money. */
  readonly keepMinorADay: number;
  /** What money earns or costs a year, as a share. */
  readonly interestAYear: number;
  /** Chance that one dies on a day of waiting. */
  readonly diesADay: number;
  /** Days on feed at most, from weaning or from the day it was bought. */
  readonly feedDaysMost: Days;
  /** Not sold or sent younger than this. */
  readonly leavesFromDays: Days;
  /** Where nothing is said of the breed. */
  readonly fatGroup: FatGroup;
  readonly killingKind: KillingKind;
}

/** What a holding may set for a species. Days from birth unless said otherwise; weights in kilograms. */
export interface SpeciesSettings {
  readonly gestationDays: { readonly mean: number; readonly from: number; readonly to: number };
  /** A female is waited for so many days past the usual range; after that it is asked what came of her. */
  readonly overdueDays: Days;
  readonly femaleFirstMatingDays: Days;
  /** From heat to heat; 0 where mating itself brings it on. */
  readonly heatCycleDays: { readonly mean: number; readonly from: number; readonly to: number };
  readonly femalesPerMale: { readonly grown: number; readonly young: number };
  /** From a birth to the next service. */
  readonly waitAfterBirthDays: Days;
  /** How long standing heat lasts; 0 where mating itself brings it on. */
  readonly standingHeatHours: { readonly from: number; readonly to: number };
  /** Hours from the start of standing heat; all 0 where any receptive day does. */
  readonly serviceHours: WindowDays;
  readonly mating: MatingRules;
  readonly pairing: PairingRules;
  readonly choosing: ChoosingRules;
  readonly selling: SellingRules;
  readonly season: SeasonDays;
  readonly tests: Readonly<Partial<Record<TestWay, TestRules>>>;
  readonly carrying: CarryingRules;
  /** Done before a birth, in any order. */
  readonly carryingSteps: readonly CarryingStep[];
  readonly rearing: RearingRules;
  readonly condition: ConditionAims;
  /** The usual rhythm of scoring by hand, where no plan says otherwise. */
  readonly scoring: { readonly fromDays: Days; readonly everyDays: Days };
  readonly weaningDays: WindowDays;
  /** Ages a weight is set to for comparison. */
  readonly standardAgesDays: readonly number[];
  /** By litter size, first for one; the last serves larger litters. */
  readonly birthWeightKg: readonly number[];
  /** SD of one reading from gut fill and the scale, as a share of body weight. */
  readonly readingSdShare: number;
  /** Share of the grown weight at 1, 2, 3 years; grown from then on. */
  readonly grownShare: readonly number[];
  readonly matureWeightKg: { readonly female: number; readonly male: number };
  /** What a grown animal at a good score weighs for a centimetre of its height at the withers. */
  readonly perCmHeightKg: { readonly female: number; readonly male: number };
  /** The longest body measure anybody could believe, centimetres. */
  readonly longestCm: number;
  /** The heaviest reading anybody could believe. */
  readonly heaviestKg: Kilograms;
  /** The fastest gain ever seen at the best age, kilograms a day: beyond it a reading is to be checked. */
  readonly fastestGainKgPerDay: KilogramsPerDay;
  readonly growthFactors: GrowthFactors;
  readonly weighing: readonly WeighingStep[];
  /** Breeds and kinds the holding tells apart, by how early they lay on fat. */
  readonly breeds: readonly Breed[];
  /** Tags and tattoos an animal should wear. */
  readonly identifiersAdvised: number;
  /** Template of new numbers, see identity/numberTemplate. */
  readonly numberTemplate: string;
}
