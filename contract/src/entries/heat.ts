import { HEAT_SIGN_NAMES } from '@yaylak/core';
import type { HeatSign } from '@yaylak/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { IsLocalTime } from '../rules';

/** Somebody looked at her for heat; nothing seen is a look as well. */
export class HeatEntry extends AnimalEntryBase {
  static readonly example = { at: '2026-11-01T07:30', signs: ['stands', 'mounts'] };

  @IsIn(['heat'])
  type: 'heat';
  /** By the clock on the wall; its date is `on`. */
  @IsLocalTime()
  at: string;
  @IsArray()
  @ArrayUnique()
  @ArrayMaxSize(HEAT_SIGN_NAMES.length)
  @IsIn(HEAT_SIGN_NAMES, { each: true })
  signs: HeatSign[];
}
