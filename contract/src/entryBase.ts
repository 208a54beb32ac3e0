import { IsIn, IsISO8601, IsString, IsUUID, Length } from 'class-validator';
import { MayBeMissing } from './nested';
import { ENTRY_SOURCES, type EntrySource } from './kinds';
import { IsCalendarDate, MAX_TEXT } from './rules';

/** What every entry of the book carries. */
export abstract class EntryBase {
  /** Made by whoever wrote the entry; sent again with the same id it is kept once. */
  @IsUUID()
  id: string;
  @IsCalendarDate()
  on: string;
  @IsISO8601({ strict: true })
  writtenAt: string;
  @IsString()
  @Length(1, MAX_TEXT)
  writtenBy: string;
  @IsIn(ENTRY_SOURCES)
  source: EntrySource;
  @MayBeMissing()
  @IsUUID()
  jobId?: string;
}

export abstract class AnimalEntryBase extends EntryBase {
  @IsUUID()
  animalId: string;
}
