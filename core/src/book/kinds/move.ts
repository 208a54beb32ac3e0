import type { Fact } from '../facts';
import type { FactKind } from './kind';
import type { GroupId } from '../../units';

export interface MoveWritten {
  readonly groupId: GroupId;
}

export interface MoveFact extends Fact, MoveWritten {}

/** It goes to a group. */
export const move: FactKind<'moves', MoveWritten, MoveFact> = {
  list: 'moves',
  fact: ({ groupId }, base) => ({ groupId, ...base }),
  touches: ['members'],
  check: ({ groupId }, _, book) =>
    book.hasGroup(groupId) ? undefined : { code: 'unknown-group', field: 'groupId', value: groupId },
};
