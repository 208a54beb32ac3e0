import { IsString, IsUUID, MaxLength } from 'class-validator';

/** Why a copy of the book was made. */
export const COPY_REASONS = ['daily', 'asked', 'migration'] as const;
export type CopyReason = (typeof COPY_REASONS)[number];

/** A whole copy of the book beside it. */
export interface CopyView {
  readonly name: string;
  /** When it was made, as the clock on the wall had it. */
  readonly at: string;
  readonly reason: CopyReason;
  readonly animals: number;
  readonly entries: number;
  readonly bytes: number;
  /** It lies in the second place as well. */
  readonly isInSecond: boolean;
}

/** Where copies go besides the book's own folder. */
export interface SecondPlaceView {
  readonly path: string;
  /** `missing`: pulled out, or not the one that was named; `failed`: it could not be written. */
  readonly state: 'there' | 'missing' | 'failed';
  /** When the newest copy there was made. */
  readonly lastAt: string | null;
  /** What the machine said when it could not be written. */
  readonly said: string | null;
}

export interface CopiesView {
  /** Where the book's own copies lie. */
  readonly folder: string;
  /** The newest first. */
  readonly copies: readonly CopyView[];
  readonly second: SecondPlaceView | null;
  /** What the machine said when the last copy could not be made. */
  readonly failed: string | null;
}

/** What is wrong with the copies, where something is: shown on Today. */
export interface CopiesTrouble {
  /** When the last good copy was made, where that is too long ago. */
  readonly oldSince: string | null;
  /** The second place that is not there or cannot be written. */
  readonly second: SecondPlaceView | null;
  readonly failed: string | null;
}

/** Asks for a copy now. */
export class MakeCopy {
  /** Sent twice it is one copy. */
  @IsUUID()
  id: string;
}
/** Names the second place; an empty path leaves the book without one. */
export class NameSecondPlace {
  @IsString()
  @MaxLength(1_000)
  path: string;
}
