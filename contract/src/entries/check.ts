import { CONDITION_CHECKS, OTHER_CHECKS } from '@yaylak/core';
import type { CheckFact } from '@yaylak/core';
import { IsBoolean, IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MAX_TEXT } from '../rules';

/**
 * Looked at for what keeps it thin; `milk` found is a heavy milker, `womb` found keeps her
 * from mating until it is looked at again and clear; `udder`, `prolapse` and `temper` found count against it.
 */
export class CheckEntry extends AnimalEntryBase {
  static readonly example = { what: 'teeth', isFound: true, words: 'two gone' };

  @IsIn(['check'])
  type: 'check';
  @IsIn([...CONDITION_CHECKS, ...OTHER_CHECKS])
  what: CheckFact['what'];
  @IsBoolean()
  isFound: boolean;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  words?: string;
}
