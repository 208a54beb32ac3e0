import type { ReadingDoubt, Refusal } from '@yaylak/core';
import { IsIn } from 'class-validator';
import { MayBeMissing } from './nested';

/** A field that does not fit, in words. */
export interface FieldFault {
  readonly field: string;
  readonly message: string;
}

/** What is done with a batch: keep the good ones, keep all or none, or only say what would happen. */
export const POST_MODES = ['keep', 'whole', 'check'] as const;
export type PostMode = (typeof POST_MODES)[number];
export class PostEntriesQuery {
  @MayBeMissing()
  @IsIn(POST_MODES)
  mode?: PostMode;
}

export type EntryAnswer =
  | { readonly id: string; readonly status: 'kept'; readonly doubt?: ReadingDoubt }
  /** `isStruck`: it was struck out since, and sending it again does not bring it back. */
  | { readonly id: string; readonly status: 'already-kept'; readonly isStruck?: true }
  /** Good by itself, and not kept: another of its `whole` batch was refused. */
  | { readonly id: string; readonly status: 'left-out' }
  | {
      readonly id: string;
      readonly status: 'refused';
      readonly message: string;
      readonly refusal?: Refusal;
      readonly faults?: readonly FieldFault[];
    };

export interface EntriesAnswered {
  readonly answers: readonly EntryAnswer[];
}
