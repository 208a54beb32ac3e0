import type { EntityManager } from '@mikro-orm/libsql';
import type { InferEntity } from '@mikro-orm/core';
import { GroupEntity } from './group.entity';

type Group = InferEntity<typeof GroupEntity>;

/** The groups in the order they were made, which a copy of the book keeps. */
export async function groupsInOrder(em: EntityManager): Promise<Group[]> {
  const groups = await em.find(GroupEntity, {});
  const order = await em
    .getConnection()
    .execute<{ id: string }[]>('select id from herd_group order by rowid', [], 'all', em.getTransactionContext());
  const place = new Map(order.map(({ id }, i) => [id, i]));
  return groups.sort((a, b) => (place.get(a.id) ?? 0) - (place.get(b.id) ?? 0));
}
