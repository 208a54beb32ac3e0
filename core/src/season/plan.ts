import { addDays, type Day } from '../calendar';
import type { Species, SpeciesSettings } from '../species';
import type { GroupId, Days } from '../units';

/** How long before mating the females are fed up: six weeks for who has to gain, three for who only needs a push. */
export const FLUSHING_SCHOOLS = { 'six-weeks': 42, 'three-weeks': 21, none: 0 } as const;
export type FlushingSchool = keyof typeof FLUSHING_SCHOOLS;

/** The school that flushes nearest to so many days before mating, the longer of two as near. */
export function flushingSchoolOf(daysBefore: number): FlushingSchool {
  const schools = Object.keys(FLUSHING_SCHOOLS) as FlushingSchool[];
  const off = (s: FlushingSchool): number => Math.abs(FLUSHING_SCHOOLS[s] - daysBefore);
  return schools.reduce((best, s) => (off(s) < off(best) ? s : best));
}

/** Where mating itself brings the heat on there are births all year round; the others have a season. */
export const planKindOf = ({ heatCycleDays }: Pick<SpeciesSettings, 'heatCycleDays'>): 'season' | 'rolling' =>
  heatCycleDays.mean === 0 ? 'rolling' : 'season';

/** How soon a doe rabbit goes back to the buck after a birth, in days. */
export const REMATING_SCHOOLS = { intensive: 11, middle: 28, easy: 42 } as const;
export type RematingSchool = keyof typeof REMATING_SCHOOLS;

/** Something the holding gives before the births, by its own choice. */
export interface PlannedDose {
  readonly name: string;
  readonly productId?: string;
  readonly daysBeforeBirth: number;
}

/** What all plans have. */
interface PlanBase {
  readonly name: string;
  readonly species: Species;
  readonly groupId?: GroupId;
  /** Head to be mated. */
  readonly females: number;
  /** The day the males go in, or of the first mating; all other dates are reckoned from it. */
  readonly matingOn: Day;
  /** Days a step was moved off its reckoned place, by its key. */
  readonly shifts: Readonly<Record<string, number>>;
  /** Steps written down as done, with the day. */
  readonly done: Readonly<Record<string, Day>>;
}

/** One season: males in and out, and all that goes before and after. */
export interface SeasonPlan extends PlanBase {
  readonly kind: 'season';
  /** What was wanted when the plan was made. */
  readonly wanted: { readonly what: 'births' | 'sale'; readonly on: Day; readonly saleAgeDays?: Days };
  readonly flushing: FlushingSchool;
  readonly cycles: number;
  readonly doses: readonly PlannedDose[];
}

/** A rolling cycle: each birth is followed by the next mating after the wait of the school. */
export interface RollingPlan extends PlanBase {
  readonly kind: 'rolling';
  readonly school: RematingSchool;
  readonly litters: number;
}

export type YearPlan = SeasonPlan | RollingPlan;

/** The day the males go in so that the first births, or the sale, fall on the day wanted. */
export function matingFor(
  { what, on, saleAgeDays = 0 }: SeasonPlan['wanted'],
  { gestationDays }: Pick<SpeciesSettings, 'gestationDays'>,
): Day {
  const birthsOn = what === 'births' ? on : addDays(on, -saleAgeDays);
  return addDays(birthsOn, -gestationDays.mean);
}

/** The day the wish comes true by the plan as it stands: the first births at the mean, or the sale. */
export const wishOn = (
  { wanted, matingOn }: SeasonPlan,
  { gestationDays }: Pick<SpeciesSettings, 'gestationDays'>,
): Day => addDays(matingOn, gestationDays.mean + (wanted.what === 'sale' ? (wanted.saleAgeDays ?? 0) : 0));
