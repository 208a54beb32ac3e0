import { IsBoolean, IsIn } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';

/** Taken off its dam; not done is the first of two steps, kept off her milk and still beside her. */
export class WeaningEntry extends AnimalEntryBase {
  static readonly example = { isDone: true };

  @IsIn(['weaning'])
  type: 'weaning';
  @IsBoolean()
  isDone: boolean;
}
