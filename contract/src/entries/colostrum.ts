import { COLOSTRUM_WAYS } from '@yaylak/core';
import type { ColostrumWay } from '@yaylak/core';
import { IsIn } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { IsLocalTime } from '../rules';

/** Had its first milk, and when. */
export class ColostrumEntry extends AnimalEntryBase {
  static readonly example = { at: '2026-11-01T07:00', how: 'bottle' };

  @IsIn(['colostrum'])
  type: 'colostrum';
  @IsLocalTime()
  at: string;
  @IsIn(COLOSTRUM_WAYS)
  how: ColostrumWay;
}
