import { IsString, IsUUID, MaxLength } from 'class-validator';
import type { Entry } from './entries';

/** Why a copy of the book was made. */
export const COPY_REASONS = ['daily', 'asked', 'migration', 'put-back'] as const;
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
  /** What goes there is encrypted. */
  readonly isLocked: boolean;
  /** It is being brought up to date. */
  readonly isUnderWay: boolean;
}

/** Characters of a passphrase at the least. */
export const LEAST_PASSPHRASE = 12;

/** The second place as it was just encrypted. */
export interface LockedView {
  readonly copies: CopiesView;
  /** 24 words that open it as the passphrase does: said once, kept nowhere. None where it is encrypted no longer. */
  readonly words: readonly string[];
}

/** The copy that follows the book within a second or so. */
export interface FollowingView {
  /** Where it goes. */
  readonly to: string;
  /** What the machine says is wrong with it at this moment; nothing while it follows. */
  readonly said: string | null;
}

export interface CopiesView {
  /** Where the book's own copies lie. */
  readonly folder: string;
  /** The newest first. */
  readonly copies: readonly CopyView[];
  readonly second: SecondPlaceView | null;
  readonly following: FollowingView | null;
  /** What the machine said when the last copy could not be made. */
  readonly failed: string | null;
  /** How the last copy that was put back went, since Yaylak was started. */
  readonly putBack: PutBackView | null;
}

/** How a copy was put back. */
export interface PutBackView {
  /** The id it was asked by. */
  readonly id: string;
  /** What the machine said; the book is then as it was before. */
  readonly failed: string | null;
}

/** So many entries, and animals that came into the book with them. */
export interface CopyCounts {
  readonly entries: number;
  readonly animals: number;
}
/** What would change in the book if a copy took its place. */
export interface CopyLossView {
  /** Written since the copy was made: they would be gone. */
  readonly gone: CopyCounts;
  /** In the copy, and no longer in the book. */
  readonly back: CopyCounts;
  /** Of those that would be gone the last ones written, the newest first. */
  readonly newest: readonly Entry[];
}

/** What is wrong with the copies, where something is: shown on Today. */
export interface CopiesTrouble {
  /** When the last good copy was made, where that is too long ago. */
  readonly oldSince: string | null;
  /** The second place that is not there or cannot be written. */
  readonly second: SecondPlaceView | null;
  /** The following copy that does not follow. */
  readonly following: FollowingView | null;
  readonly failed: string | null;
}

/** Asks for a copy now. */
export class MakeCopy {
  /** Sent twice it is one copy. */
  @IsUUID()
  id: string;
}
/** Asks for a copy to take the book's place. */
export class PutBack {
  /** Sent twice it is done once. */
  @IsUUID()
  id: string;
}
/** Names the second place; an empty path leaves the book without one. */
export class NameSecondPlace {
  @IsString()
  @MaxLength(1_000)
  path: string;
}
/** Has what goes to the second place be encrypted. */
export class LockSecondPlace {
  /** Empty: it lies there as it is. */
  @IsString()
  @MaxLength(200)
  passphrase: string;
}
