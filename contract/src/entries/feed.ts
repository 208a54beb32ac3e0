import { IsIn, IsInt, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { IsCalendarDate, MAX_TEXT } from '../rules';

/** What a dam and her litter ate of a feed from one day to another, without what was left. */
export class FeedEntry extends AnimalEntryBase {
  static readonly example = { since: '2026-10-20', feed: 'Plain pellet', kg: 12.5, priceMinor: 45 };

  @IsIn(['feed'])
  type: 'feed';
  /** The first day; `on` is the last. */
  @IsCalendarDate()
  since: string;
  @IsString()
  @Length(1, MAX_TEXT)
  feed: string;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.001)
  @Max(10_000)
  kg: number;
  /** A kilogram, in hundredths of the holding's money. */
  @IsInt()
  @Min(0)
  @Max(100_000_000)
  priceMinor: number;
}
