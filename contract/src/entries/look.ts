import type { LookGrade } from '@yaylak/core';
import { IsIn } from 'class-validator';
import { IsLookGrades } from '../rules';
import { AnimalEntryBase } from '../entryBase';

/** What was found looking it over: by the standard's id pass, fail or 0 to 5. */
export class LookEntry extends AnimalEntryBase {
  static readonly example = { grades: { mouth: 'pass', feet: 'fail', frame: 4 } };

  @IsIn(['look'])
  type: 'look';
  @IsLookGrades()
  grades: Record<string, LookGrade>;
}
