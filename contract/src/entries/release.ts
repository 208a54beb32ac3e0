import { IsIn, IsUUID } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { ID } from '../exampleId';

/** A reservation let go before its day. */
export class ReleaseEntry extends AnimalEntryBase {
  static readonly example = { reservationId: ID };

  @IsIn(['release'])
  type: 'release';
  /** The entry that reserved the animal. */
  @IsUUID()
  reservationId: string;
}
