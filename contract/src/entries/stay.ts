import { IsBoolean, IsIn, IsString, IsUUID, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MARK_COLOURS } from '../kinds';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/** A male is put with a group of females. */
export class StayEntry extends AnimalEntryBase {
  static readonly example = { groupId: ID, colour: 'red', isTeaser: true, reason: 'no other ram' };

  @IsIn(['stay'])
  type: 'stay';
  @IsUUID()
  groupId: string;
  /** Of the raddle or harness he wears. */
  @MayBeMissing()
  @IsIn(MARK_COLOURS)
  colour?: (typeof MARK_COLOURS)[number];
  /** Finds heats, sires nothing. */
  @MayBeMissing()
  @IsBoolean()
  isTeaser?: boolean;
  /** Why, where he runs with females that are too young, or too near kin to him. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
