import { MikroORM, type EntityManager } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  dayText,
  fieldName,
  say,
  type ChangedThing,
  type ChangeView,
  type HistoryQuery,
  type HistoryView,
  type Leaf,
  type Leaves,
} from '@yaylak/contract';
import { isoMoment } from '@yaylak/core';
import { v7 } from 'uuid';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { handAtWork } from '../common/hand';
import { localMoment } from '../common/localTime';
import { ChangeEntity } from '../records/change.entity';
import { HoldingEntity } from '../records/holding.entity';
import { changedLeaves, leavesOf } from './leaves';

const PAGE = 50;
/** Kept in hundredths, said in whole. */
const MONEY = /Minor$/;
const DAY = /^\d{4}-\d\d-\d\d$/;

/** Who changed what of the things that are changed in place, when, and what they said before. */
@Injectable()
export class HistoryService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  /**
   * Writes a change down beside the change itself, in its transaction.
   * @param before nothing where it is made anew
   * @param after nothing where it is removed
   */
  async keep(
    em: EntityManager,
    [what, thingId]: readonly [ChangedThing, string],
    before: object | undefined,
    after: object | undefined,
  ): Promise<void> {
    const sides =
      before && after
        ? changedLeaves(leavesOf(before), leavesOf(after))
        : { before: before && leavesOf(before), after: after && leavesOf(after) };
    if (before && after && Object.keys({ ...sides.before, ...sides.after }).length === 0) return;
    const changedBy = handAtWork()?.name ?? (await em.findOne(HoldingEntity, 1))?.keeper ?? say('Keeper');
    await em.insert(ChangeEntity, {
      id: v7(),
      at: this.clock.now().toISOString(),
      changedBy,
      what,
      thingId,
      before: sides.before ?? null,
      after: sides.after ?? null,
    });
  }

  /** A page of the changes of one thing, or of all of a kind. */
  async of({ what, thingId, after }: HistoryQuery): Promise<HistoryView> {
    const rows = await this.orm.em.fork().find(
      ChangeEntity,
      {
        what,
        ...(thingId === undefined ? {} : { thingId }),
        ...(after === undefined ? {} : { id: { $lt: after } }),
      },
      // An id begins with the time it was made at.
      { orderBy: { id: 'desc' }, limit: PAGE + 1 },
    );
    const changes = rows.slice(0, PAGE).map((row): ChangeView => {
      const sides = { before: row.before ?? undefined, after: row.after ?? undefined };
      return {
        id: row.id,
        at: isoMoment(localMoment(new Date(row.at))),
        by: row.changedBy,
        kind: !sides.before ? 'made' : !sides.after ? 'removed' : 'changed',
        name: nameIn(sides.after) ?? nameIn(sides.before),
        fields: this.fieldsOf(sides.before ?? {}, sides.after ?? {}),
      };
    });
    return { changes, next: rows.length > PAGE ? (changes.at(-1)?.id ?? null) : null };
  }

  private fieldsOf(before: Leaves, after: Leaves): ChangeView['fields'] {
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].map((path) => ({
      field: this.pathText(path.replace(MONEY, '')),
      before: this.leafText(before[path], path),
      after: this.leafText(after[path], path),
    }));
  }

  /** A path as a field is called; an animal within it by its number. */
  private pathText(path: string): string {
    const parts = path.split('.');
    const animal = parts.find((part) => this.book.state.animals.has(part));
    const words = fieldName(parts.filter((part) => part !== animal).join('.'));
    return animal === undefined ? words : `${this.book.nameOf(animal)}: ${words}`;
  }

  private leafText(leaf: Leaf | undefined, path: string): string | null {
    if (leaf === undefined || leaf === null) return null;
    if (MONEY.test(path)) return (Number(leaf) / 100).toFixed(2);
    if (typeof leaf === 'boolean') return leaf ? say('yes') : say('no');
    const { animals, groups, products } = this.book.state;
    const text = String(leaf);
    if (DAY.test(text)) return dayText(text);
    if (animals.has(text)) return this.book.nameOf(text);
    return groups.get(text)?.name ?? products.get(text)?.facts.name ?? text;
  }
}

const nameIn = (leaves: Leaves | undefined): string | null => {
  const name = leaves?.name;
  return typeof name === 'string' ? name : null;
};
