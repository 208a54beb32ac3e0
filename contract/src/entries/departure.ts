import { DEATH_CAUSES, DEPARTURE_WAYS } from '@yaylak/core';
import type { DeathCause, DepartureWay } from '@yaylak/core';
import { IsIn, IsString, MaxLength } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { IsCalendarDate, MAX_TEXT } from '../rules';

export class DepartureEntry extends AnimalEntryBase {
  static readonly example = { how: 'died', cause: 'cold', toldUntil: '2026-12-04', reason: 'found at dawn' };

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
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  reason?: string;
}
