import type { BandBlock, ReadingDoubt, Species } from '@yaylak/core';
import type { TagView, WindowView } from './animals';
import type { GainView } from './growth';
import type { JobView } from './jobs';
import type { DoseDueView, WithheldView } from './remedies';

export interface DueWeighing {
  readonly key: string;
  readonly step: string;
  readonly group: { readonly id: string; readonly name: string } | null;
  readonly species: Species;
  readonly who: string;
  readonly animalIds: readonly string[];
  readonly window: WindowView;
  readonly isOpen: boolean;
}

export interface NotGrowingView {
  readonly tag: TagView;
  readonly gain: GainView;
  readonly groupMedianKgPerDay: number;
  readonly groupSize: number;
  readonly isSmallGroup: boolean;
  readonly groupName: string | null;
}

/** Something in the book a person should look at. */
export type LookAt =
  | {
      readonly kind: 'doubtful-weight';
      readonly entryId: string;
      readonly tag: TagView;
      readonly on: string;
      readonly kg: number;
      readonly doubt: ReadingDoubt;
    }
  | { readonly kind: 'unknown-animal'; readonly tag: TagView; readonly on: string }
  | { readonly kind: 'adult-alarm'; readonly tag: TagView; readonly message: string };

export interface TodayView {
  readonly on: string;
  readonly due: readonly DueWeighing[];
  readonly notGrowing: readonly NotGrowingView[];
  /** What of whom may not be used yet. */
  readonly withheld: readonly WithheldView[];
  /** Remedies to give again. */
  readonly doses: readonly DoseDueView[];
  readonly openJobs: readonly JobView[];
  readonly lookAt: readonly LookAt[];
  readonly head: readonly { readonly species: Species; readonly present: number; readonly grownFemales: number }[];
}

export interface YearBandView {
  readonly year: number;
  readonly today: string;
  readonly lanes: readonly {
    readonly species: Species;
    readonly blocks: readonly (Omit<BandBlock, 'from' | 'to' | 'batchFrom' | 'batchTo'> & {
      readonly from: string;
      readonly to: string;
      readonly batchFrom: string;
      readonly batchTo: string;
    })[];
  }[];
}
