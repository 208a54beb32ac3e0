import { ARRIVAL_WAYS, BIRTH_KNOWN_TO, SEXES, SPECIES } from '@yaylak/core';
import type { ArrivalWay, BirthKnownTo, Sex, Species } from '@yaylak/core';
import { IsIn, IsInt, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { IsCalendarDate, MAX_MINOR, MAX_TEXT } from '../rules';

/** An animal comes into the book: born here, bought, or found standing in the race. */
export class ArrivalEntry extends AnimalEntryBase {
  static readonly example = {
    how: 'born',
    species: 'sheep',
    sex: 'female',
    bornOn: '2026-11-01',
    damId: ID,
    donorId: ID,
    sireId: ID,
    birthType: 2,
    rearingType: 1,
    strain: 'Hill',
    boughtMinor: 14_000,
    birthKnownTo: 'month',
  };

  @IsIn(['arrival'])
  type: 'arrival';
  @IsIn(ARRIVAL_WAYS)
  how: ArrivalWay;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  @MayBeMissing()
  @IsCalendarDate()
  bornOn?: string;
  @MayBeMissing()
  @IsUUID()
  damId?: string;
  /** Whose embryo it was, where `damId` only carried it. */
  @MayBeMissing()
  @IsUUID()
  donorId?: string;
  @MayBeMissing()
  @IsUUID()
  sireId?: string;
  /** Born as one of so many. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(20)
  birthType?: number;
  /** Reared as one of so many. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(20)
  rearingType?: number;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  strain?: string;
  /** Paid for it, in hundredths of the holding's money. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  boughtMinor?: number;
  /** How far the birth is known where the day is not: `bornOn` is the middle of that month or year. */
  @MayBeMissing()
  @IsIn(BIRTH_KNOWN_TO)
  birthKnownTo?: BirthKnownTo;
}
