import { IsIn, IsISO8601, IsObject, IsString, IsUUID, Length, MaxLength } from 'class-validator';
import { MayBeMissing } from './nested';
import { MAX_TEXT } from './rules';

/** What is changed in place, so that what it said before stands nowhere else; entries are struck out and stay. */
export const CHANGED_THINGS = [
  'holding',
  'animal',
  'group',
  'product',
  'outlet',
  'load',
  'plan',
  'template',
  'choice',
] as const;
export type ChangedThing = (typeof CHANGED_THINGS)[number];

/** A value at the end of a path. */
export type Leaf = string | number | boolean | null;
export type Leaves = Readonly<Record<string, Leaf>>;

const MOST_ID = 80;

/** A change as it stands in the book: what of the thing is another now, by path (`withdrawals.0.meatDays`). */
export class BookChange {
  @IsUUID()
  id: string;
  /** An instant. */
  @IsISO8601({ strict: true })
  at: string;
  @IsString()
  @Length(1, MAX_TEXT)
  by: string;
  @IsIn(CHANGED_THINGS)
  what: ChangedThing;
  @IsString()
  @Length(1, MOST_ID)
  thingId: string;
  /** Nothing where it was made anew. */
  @MayBeMissing()
  @IsObject()
  before?: Leaves;
  /** Nothing where it was removed. */
  @MayBeMissing()
  @IsObject()
  after?: Leaves;
}

export class HistoryQuery {
  @IsIn(CHANGED_THINGS)
  what: ChangedThing;
  /** Of one of them; left out, of all. */
  @MayBeMissing()
  @IsString()
  @Length(1, MOST_ID)
  thingId?: string;
  /** Go on after the change of this id. */
  @MayBeMissing()
  @IsString()
  @MaxLength(MOST_ID)
  after?: string;
}
/** One thing that was said otherwise before, in words. */
export interface ChangedField {
  readonly field: string;
  readonly before: string | null;
  readonly after: string | null;
}
export interface ChangeView {
  readonly id: string;
  /** A time on the wall. */
  readonly at: string;
  readonly by: string;
  readonly kind: 'made' | 'changed' | 'removed';
  /** What it was called, where it has a name. */
  readonly name: string | null;
  readonly fields: readonly ChangedField[];
}
export interface HistoryView {
  /** The newest first. */
  readonly changes: readonly ChangeView[];
  /** Where the next page goes on. */
  readonly next: string | null;
}
