import { DEATH_CAUSES, DEPARTURE_WAYS } from '@yaylak/core';
import type { DeathCause, DepartureWay } from '@yaylak/core';
import { IsIn, IsInt, IsNumber, IsString, IsUUID, Length, Max, MaxLength, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MayBeMissing } from '../nested';
import { IsCalendarDate, MAX_TEXT } from '../rules';

export class DepartureEntry extends AnimalEntryBase {
  static readonly example = {
    how: 'sold',
    cause: 'cold',
    toldUntil: '2026-12-04',
    outletId: ID,
    buyer: 'Hill market',
    priceMinor: 10_450,
    kg: 44.5,
    haulageMinor: 250,
    reason: 'with the others of his pen',
  };

  @IsIn(['departure'])
  type: 'departure';
  @IsIn(DEPARTURE_WAYS)
  how: DepartureWay;
  /** What it died of, as far as anybody can tell. */
  @MayBeMissing()
  @IsIn(DEATH_CAUSES)
  cause?: DeathCause;
  /** Of one sold while meat or milk is withheld: to which last day, as the buyer was told. */
  @MayBeMissing()
  @IsCalendarDate()
  toldUntil?: string;
  /** The outlet it went to. */
  @MayBeMissing()
  @IsUUID()
  outletId?: string;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  buyer?: string;
  /** Paid for it, hundredths of the holding's money, charges not yet off. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  priceMinor?: number;
  /** What it weighed alive for the sale. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.01)
  @Max(3_000)
  kg?: number;
  /** Its part of what the trip there cost, hundredths of the holding's money. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  haulageMinor?: number;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
