import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MARK_COLOURS, MARK_PLACES } from '../kinds';
import { MayBeMissing } from '../nested';
import { IsCalendarDate, MAX_TEXT } from '../rules';

/** A spray mark people can see across a field. */
export class MarkEntry extends AnimalEntryBase {
  static readonly example = { colour: 'blue', place: 'rump', purpose: 'second string', until: '2026-12-01' };

  @IsIn(['mark'])
  type: 'mark';
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
  @IsIn(MARK_PLACES)
  place: (typeof MARK_PLACES)[number];
  @IsString()
  @Length(1, MAX_TEXT)
  purpose: string;
  @MayBeMissing()
  @IsCalendarDate()
  until?: string;
}
