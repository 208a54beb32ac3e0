import type { PointsWeights, Sex, Species, SpeciesOverrides, WeightUnit } from '@yaylak/core';
import type { Entry } from './entries';
import type { BlankTags, ScorersSetting, StandardSetting } from './holding';
import type { StartJob } from './jobs';
import type { ProductFacts } from './remedies';
import type { CalendarSetting, PlanFacts, ResourcesSetting } from './season';
import type { TemplateFacts } from './stations';
import type { KeepDrill } from './condition';

export const BOOK_FORMAT = 'yaylak-book';
export const BOOK_FORMAT_VERSION = 1;

/** An animal's record as it stands; its arrival carries how it came. */
export interface BookAnimal {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly damId: string | null;
  readonly sireId: string | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly strain: string | null;
  readonly version: number;
}

/** The whole book in one file: settings, groups, jobs, animals, and every entry in the order it was kept. */
export interface BookFile {
  readonly format: typeof BOOK_FORMAT;
  readonly formatVersion: typeof BOOK_FORMAT_VERSION;
  readonly holding: {
    readonly name: string;
    readonly keeper: string;
    readonly unit: WeightUnit;
    readonly currency: string;
    readonly pointsWeights: PointsWeights;
    readonly species: SpeciesOverrides;
    readonly version: number;
    /** Missing in books written before there were any. */
    readonly standards?: readonly StandardSetting[];
    readonly blankTags?: readonly BlankTags[];
    readonly scorers?: ScorersSetting;
    readonly resources?: ResourcesSetting;
    readonly calendar?: CalendarSetting;
  };
  readonly groups: readonly {
    readonly id: string;
    readonly name: string;
    readonly species: Species | null;
    readonly isClosed: boolean;
    readonly version: number;
  }[];
  readonly jobs: readonly (StartJob & { readonly finishedAt: string | null })[];
  readonly products?: readonly {
    readonly id: string;
    readonly facts: ProductFacts;
    readonly isClosed: boolean;
    readonly version: number;
  }[];
  readonly templates?: readonly (TemplateFacts & { readonly id: string })[];
  readonly plans?: readonly { readonly id: string; readonly facts: PlanFacts; readonly version: number }[];
  readonly drills?: readonly KeepDrill[];
  readonly animals: readonly BookAnimal[];
  readonly entries: readonly Entry[];
}
