import { SERVICE_WAYS } from '@yaylak/core';
import type { ServiceWay } from '@yaylak/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, IsIn, IsString, IsUUID, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MARK_COLOURS } from '../kinds';
import { MayBeMissing } from '../nested';
import { IsLocalTime, MAX_TEXT } from '../rules';

/** She was served, or a mark says so. */
export class ServiceEntry extends AnimalEntryBase {
  static readonly example = {
    way: 'hand',
    at: '2026-11-01T18:00',
    maleIds: [ID],
    straw: 'ARD-7',
    otherMale: 'a ram from over the fence',
    batch: 'B2',
    technician: 'Selin',
    colour: 'red',
    isWitnessed: true,
    isCheck: true,
    reason: 'the only buck left',
  };

  @IsIn(['service'])
  type: 'service';
  @IsIn(SERVICE_WAYS)
  way: ServiceWay;
  @MayBeMissing()
  @IsLocalTime()
  at?: string;
  /** All of the holding that may be the sire: one by hand, several where several ran. */
  @IsArray()
  @ArrayUnique()
  @ArrayMaxSize(30)
  @IsUUID(undefined, { each: true })
  maleIds: string[];
  /** Code of the straw. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  straw?: string;
  /** A male that is not in the book: "the neighbour's ram", "not known". */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  otherMale?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  batch?: string;
  /** Who put the straw in. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  technician?: string;
  /** Colour of the mark read. */
  @MayBeMissing()
  @IsIn(MARK_COLOURS)
  colour?: (typeof MARK_COLOURS)[number];
  @MayBeMissing()
  @IsBoolean()
  isWitnessed?: boolean;
  /** Offered again to see whether she refuses. */
  @MayBeMissing()
  @IsBoolean()
  isCheck?: boolean;
  /** Why, where the pair is one that is not put together. */
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  reason?: string;
}
