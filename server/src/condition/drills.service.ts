import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { DrillsView, KeepDrill } from '@yaylak/contract';
import { BookService } from '../book/book.service';
import { authorOf } from '../common/hand';
import { plain } from '../common/plain';
import { DrillEntity } from '../records/drill.entity';

/** Drills shown: a few years of practice. */
const MOST = 200;

/** Drills of the practice corner, kept to see the hand learn. */
@Injectable()
export class DrillsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  async list(): Promise<DrillsView> {
    const rows = await this.orm.em
      .fork()
      .find(DrillEntity, {}, { orderBy: { takenOn: 'desc', id: 'desc' }, limit: MOST });
    return { drills: rows.map(({ id, takenOn, takenBy, answers }) => ({ id, on: takenOn, by: takenBy, answers })) };
  }

  keep(drill: KeepDrill): Promise<DrillsView> {
    return this.book.exclusively(async () => {
      const { id, on, answers } = plain(drill);
      const by = authorOf(drill.by);
      await this.book.transact((em) => em.upsert(DrillEntity, { id, takenOn: on, takenBy: by, answers }));
      return this.list();
    });
  }
}
