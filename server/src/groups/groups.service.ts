import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { ChangeGroup, CreateGroup, GroupView } from '@yaylak/contract';
import { groupOn, normalised } from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { GroupRecord } from '../book/holdingState';
import { Clock } from '../common/clock';
import { badFields, conflict, notFound, staleVersion } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { GroupEntity } from '../records/group.entity';
import { say } from '@yaylak/contract';

/** Where a group's id can stand: in a column of its own, or among a record's facts. */
const SPEAK_OF_GROUPS: readonly (readonly [table: string, column: string])[] = [
  ['move_entry', 'group_id'],
  ['stay_entry', 'group_id'],
  ['job', 'gates'],
  ['job', 'settings'],
  ['job_template', 'facts'],
  ['season_plan', 'facts'],
];

@Injectable()
export class GroupsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
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
      await this.book.transact(async (em) => {
        await em.insert(GroupEntity, record);
        await this.changes.keep(em, ['group', record.id], undefined, told(record));
      });
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
      const { name, isClosed, version } = record;
      await this.book.transact(async (em) => {
        await em.nativeUpdate(GroupEntity, { id }, { name, isClosed, version });
        await this.changes.keep(em, ['group', id], told(before), told(record));
      });
      this.keep(record);
      return this.view(id);
    });
  }

  /** Removes a group that nothing in the book speaks of, so that making one can be taken back. */
  remove(id: string): Promise<void> {
    return this.book.exclusively(async () => {
      const group = this.book.state.groups.get(id);
      if (!group) throw notFound('group');
      if (await this.isSpokenOf(id))
        throw conflict(
          say('The group “{name}” has been used.', { name: group.name }),
          say('Moves, stays of males, jobs or plans speak of it. Close it instead.'),
        );
      await this.book.transact(async (em) => {
        await em.nativeDelete(GroupEntity, { id });
        await this.changes.keep(em, ['group', id], told(group), undefined);
      });
      this.book.state.removeGroup(id);
    });
  }

  /** Struck entries speak of it too: they stay in the book. */
  private async isSpokenOf(id: string): Promise<boolean> {
    const said = SPEAK_OF_GROUPS.map(([table, column]) => `select "${column}" as said from ${table}`);
    const found = await this.orm.em
      .getConnection()
      .execute<unknown[]>(`select 1 from (${said.join(' union all ')}) where instr(said, ?) > 0 limit 1`, [id]);
    return found.length > 0;
  }

  private keep(record: GroupRecord): void {
    this.book.state.setGroup(record);
  }

  private refuseSameName(name: string, id: string): void {
    for (const other of this.book.state.groups.values())
      if (other.id !== id && normalised(other.name) === normalised(name))
        throw badFields([
          {
            field: 'name',
            message: say('There is a group “{name}” already. Choose another name.', { name: other.name }),
          },
        ]);
  }

  private view(id: string): GroupView {
    const found = this.list().find((g) => g.id === id);
    if (!found) throw notFound('group');
    return found;
  }
}

/** What of it can be changed. */
const told = ({ name, species, isClosed }: GroupRecord): object => ({ name, species, isClosed });
