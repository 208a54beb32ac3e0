import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import { SHIPPED_TEMPLATES, TemplateFacts, type KeepTemplate, type TemplateView, say } from '@yaylak/contract';
import { normalised } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { faultsOf } from '../common/faultsOf';
import { plain } from '../common/plain';
import { badFields, notFound } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { TemplateEntity } from '../records/template.entity';

/** Jobs kept as templates, the shipped ones before the holding's own. */
@Injectable()
export class TemplatesService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
  ) {}

  async list(): Promise<TemplateView[]> {
    const stored = await this.orm.em.fork().find(TemplateEntity, {});
    // One that cannot be used is left out; Holding says so.
    const own = stored.filter(({ facts }) => faultsOf(TemplateFacts, facts).length === 0);
    return [
      ...SHIPPED_TEMPLATES,
      ...own.map(({ id, facts }) => ({ ...facts, id, isShipped: false })).sort((a, b) => a.name.localeCompare(b.name)),
    ];
  }

  /** Keeps a template; kept again under the same id it is replaced. */
  keep(template: KeepTemplate): Promise<TemplateView> {
    const { id, ...facts } = plain(template);
    return this.book.exclusively(async () => {
      const same = (await this.list()).find((t) => t.id !== id && normalised(t.name) === normalised(facts.name));
      if (same)
        throw badFields([
          {
            field: 'name',
            message: say('There is a template “{name}” already. Choose another name.', { name: same.name }),
          },
        ]);
      await this.book.transact(async (em) => {
        const before = await em.findOne(TemplateEntity, id);
        await this.changes.keep(em, ['template', id], before?.facts, facts);
        await em.upsert(TemplateEntity, { id, facts });
      });
      return { ...facts, id, isShipped: false };
    });
  }

  remove(id: string): Promise<void> {
    return this.book.exclusively(async () => {
      await this.book.transact(async (em) => {
        const before = await em.findOne(TemplateEntity, id);
        if (!before) throw notFound('template');
        await this.changes.keep(em, ['template', id], before.facts, undefined);
        await em.nativeDelete(TemplateEntity, { id });
      });
    });
  }
}
