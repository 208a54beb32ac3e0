import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { ChangeGroup, CreateGroup, GroupView } from '@yaylak/contract';
import { groupOn, normalised } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { MoveEntity } from '../book/entry.entities';
import type { GroupRecord } from '../book/holdingState';
import { Clock } from '../common/clock';
import { badFields, conflict, notFound, staleVersion } from '../common/problems';
import { GroupEntity } from './group.entity';

@Injectable()
export class GroupsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(): GroupView[] {
    const today = this.clock.today();
    const counts = new Map<string, number>();
    for (const facts of this.book.state.present(today)) {
      const id = groupOn(facts, today);
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...this.book.state.groups.values()]
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((g) => ({ ...g, present: counts.get(g.id) ?? 0 }));
  }

  create(group: CreateGroup): Promise<GroupView> {
    return this.book.exclusively(async () => {
      const known = this.book.state.groups.get(group.id);
      if (known) return this.view(known.id);
      this.refuseSameName(group.name, group.id);
      const record: GroupRecord = {
        id: group.id,
        name: group.name.trim(),
        species: group.species ?? null,
        isClosed: false,
        version: 1,
      };
      await this.book.transact((em) => em.insert(GroupEntity, record));
      this.keep(record);
      return this.view(record.id);
    });
  }

  change(id: string, change: ChangeGroup): Promise<GroupView> {
    return this.book.exclusively(async () => {
      const before = this.book.state.groups.get(id);
      if (!before) throw notFound('group');
      if (before.version !== change.version) throw staleVersion('group', this.view(id));
      if (change.name !== undefined) this.refuseSameName(change.name, id);
      const record = {
        ...before,
        name: change.name?.trim() ?? before.name,
        isClosed: change.isClosed ?? before.isClosed,
        version: before.version + 1,
      };
      await this.book.transact((em) =>
        em.nativeUpdate(GroupEntity, { id }, { name: record.name, isClosed: record.isClosed, version: record.version }),
      );
      this.keep(record);
      return this.view(id);
    });
  }

  /** Whether a job has a gate that leads there: an animal may be on its way through it. */
  private async isGateTo(id: string): Promise<boolean> {
    const rows = await this.orm.em
      .getConnection()
      .execute<{ n: number }[]>(
        "select count(*) as n from job, json_each(job.gates) gate where json_extract(gate.value, '$.groupId') = ?",
        [id],
      );
    return (rows[0]?.n ?? 0) > 0;
  }

  /** Removes a group that no entry and no job speaks of, so that making one can be taken back. */
  remove(id: string): Promise<void> {
    return this.book.exclusively(async () => {
      const group = this.book.state.groups.get(id);
      if (!group) throw notFound('group');
      const em = this.orm.em.fork();
      if ((await em.count(MoveEntity, { group: id })) > 0 || (await this.isGateTo(id)))
        throw conflict(
          `The group “${group.name}” has been used.`,
          'Its moves, or a gate of a job, speak of it. Close it instead.',
        );
      await this.book.transact((tx) => tx.nativeDelete(GroupEntity, { id }));
      this.book.state.groups.delete(id);
      this.book.state.version++;
    });
  }

  private keep(record: GroupRecord): void {
    this.book.state.groups.set(record.id, record);
    this.book.state.version++;
  }

  private refuseSameName(name: string, id: string): void {
    for (const other of this.book.state.groups.values())
      if (other.id !== id && normalised(other.name) === normalised(name))
        throw badFields([{ field: 'name', message: `There is a group “${other.name}” already. Choose another name.` }]);
  }

  private view(id: string): GroupView {
    const found = this.list().find((g) => g.id === id);
    if (!found) throw notFound('group');
    return found;
  }
}
