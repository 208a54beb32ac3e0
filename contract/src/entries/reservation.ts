import { IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { IsCalendarDate, MAX_TEXT } from '../rules';

/** Dearer than any animal of a smallholding. */
const MAX_MINOR = 10_000_000;

/** Kept for a buyer. */
export class ReservationEntry extends AnimalEntryBase {
  static readonly example = { buyer: 'Demir', until: '2026-12-12', priceMinor: 24000, depositMinor: 5000 };

  @IsIn(['reservation'])
  type: 'reservation';
  @IsString()
  @Length(1, MAX_TEXT)
  buyer: string;
  /** The last day it is kept. */
  @MayBeMissing()
  @IsCalendarDate()
  until?: string;
  /** Agreed for the animal, in the holding's currency, cents. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  priceMinor?: number;
  /** Paid already, in the holding's currency, cents. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  depositMinor?: number;
}
