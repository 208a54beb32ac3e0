import { IsIn, IsString, Length } from 'class-validator';
import { MAX_TEXT } from '../rules';
import { AnimalEntryBase } from '../entryBase';

/** A step before the birth was done, by the name it has in the holding's list. */
export class CarryingStepEntry extends AnimalEntryBase {
  static readonly example = { step: 'Nest box in' };

  @IsIn(['carrying-step'])
  type: 'carrying-step';
  @IsString()
  @Length(1, MAX_TEXT)
  step: string;
}
