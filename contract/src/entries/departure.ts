import { DEATH_CAUSES } from '@yaylak/core';
import type { DeathCause } from '@yaylak/core';
import { IsIn, IsString, MaxLength } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { DEPARTURE_WAYS } from '../kinds';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

export class DepartureEntry extends AnimalEntryBase {
  static readonly example = { how: 'died', cause: 'cold', reason: 'found at dawn' };

  @IsIn(['departure'])
  type: 'departure';
  @IsIn(DEPARTURE_WAYS)
  how: (typeof DEPARTURE_WAYS)[number];
  /** What it died of, as far as anybody can tell. */
  @MayBeMissing()
  @IsIn(DEATH_CAUSES)
  cause?: DeathCause;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
