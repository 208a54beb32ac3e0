import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { MentionView } from '@yaylak/contract';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';

const SHOWN = 8;

interface Row {
  readonly animalId: string;
  readonly text: string;
  readonly on: string;
}

/** What is written of animals beside their numbers. */
@Injectable()
export class MentionsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Tubes, notes and what photos show that hold the words, struck ones left out, the newest first. */
  async find(words: string): Promise<MentionView[]> {
    const today = this.clock.today();
    const views = (kind: MentionView['kind'], rows: readonly Row[]): MentionView[] =>
      rows.flatMap(({ animalId, text, on }) => {
        const facts = this.book.state.animals.get(animalId);
        return facts ? [{ tag: tagView(facts, today), kind, text, on }] : [];
      });
    return [
      ...views('tube', await this.rows('sample_entry', 'tube', words)),
      ...views('note', await this.rows('note_entry', 'text', words)),
      ...views('photo', await this.rows('photo_entry', 'shows', words)),
    ];
  }

  private rows(
    table: 'sample_entry' | 'note_entry' | 'photo_entry',
    column: 'tube' | 'text' | 'shows',
    words: string,
  ): Promise<Row[]> {
    const wanted = `%${words.trim().replace(/[\\%_]/g, '\\$&')}%`;
    return this.orm.em
      .fork()
      .getConnection()
      .execute<Row[]>(
        `select e.animal_id as animalId, t.${column} as text, e.happened_on as "on"
           from ${table} t join entry e on e.id = t.entry_id
          where t.${column} like ? escape '\\' and e.struck_by_id is null
          order by e.happened_on desc, e.seq desc limit ${SHOWN}`,
        [wanted],
      );
  }
}
