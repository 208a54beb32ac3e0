import { AFTERBIRTHS } from '@yaylak/core';
import type { Afterbirth } from '@yaylak/core';
import { IsIn } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';

/** Her afterbirth was seen, or is held back: then she is not mated until her womb is clear. */
export class AfterbirthEntry extends AnimalEntryBase {
  static readonly example = { state: 'retained' };

  @IsIn(['afterbirth'])
  type: 'afterbirth';
  @IsIn(AFTERBIRTHS)
  state: Afterbirth;
}
