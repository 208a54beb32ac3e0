import { IsIn, IsUUID } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';
import { MARK_COLOURS } from '../kinds';

/** Another colour on his harness, as each cycle gets its own. */
export class HarnessEntry extends AnimalEntryBase {
  static readonly example = { stayId: ID, colour: 'blue' };

  @IsIn(['harness'])
  type: 'harness';
  @IsUUID()
  stayId: string;
  @IsIn(MARK_COLOURS)
  colour: (typeof MARK_COLOURS)[number];
}
