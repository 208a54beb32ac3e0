import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  missingOf,
  type ChangePlan,
  type CreatePlan,
  type FieldFault,
  type PlanFacts,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { normalised, planKindOf } from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { PlanRecord } from '../book/holdingState';
import { plain } from '../common/plain';
import { badFields, notFound, staleVersion } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { PlanEntity } from '../records/plan.entity';

/** The plans of the year, kept on a version each. */
@Injectable()
export class PlansService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
  ) {}

  create(plan: CreatePlan): Promise<PlanRecord> {
    const { id, ...facts } = plain(plan);
    return this.book.exclusively(async () => {
      const known = this.book.state.plans.get(id);
      if (known) return known;
      this.refuseFaults(facts, id);
      const record: PlanRecord = { id, facts, version: 1 };
      await this.book.transact(async (em) => {
        await em.insert(PlanEntity, { ...record });
        await this.changes.keep(em, ['plan', id], undefined, facts);
      });
      return this.keep(record);
    });
  }

  change(id: string, change: ChangePlan): Promise<PlanRecord> {
    const { version, ...facts } = plain(change);
    return this.book.exclusively(async () => {
      const before = this.book.state.plans.get(id);
      if (!before) throw notFound('plan');
      if (before.version !== version) throw staleVersion('plan', before);
      this.refuseFaults(facts, id);
      const record: PlanRecord = { id, facts, version: version + 1 };
      await this.book.transact(async (em) => {
        await em.nativeUpdate(PlanEntity, { id }, { facts, version: record.version });
        await this.changes.keep(em, ['plan', id], before.facts, facts);
      });
      return this.keep(record);
    });
  }

  remove(id: string): Promise<void> {
    return this.book.exclusively(async () => {
      const before = this.book.state.plans.get(id);
      const removed = await this.book.transact(async (em) => {
        const n = await em.nativeDelete(PlanEntity, { id });
        if (n > 0) await this.changes.keep(em, ['plan', id], before?.facts ?? {}, undefined);
        return n;
      });
      if (removed === 0) throw notFound('plan');
      this.book.state.removePlan(id);
    });
  }

  private keep(record: PlanRecord): PlanRecord {
    this.book.state.setPlan(record);
    return record;
  }

  private refuseFaults(facts: PlanFacts, id: string): void {
    const faults: FieldFault[] = missingOf(facts).map((field) => ({
      field,
      message: say('A {kind} plan needs “{field}”.', { kind: facts.kind, field }),
    }));
    if (facts.groupId !== undefined && !this.book.state.groups.has(facts.groupId))
      faults.push({ field: 'groupId', message: say('There is no such group. Choose one of the holding’s groups.') });
    if (facts.wanted?.what === 'sale' && facts.wanted.saleAgeDays === undefined)
      faults.push({ field: 'saleAgeDays', message: say('Say how old they are to be sold.') });
    const kind = planKindOf(this.book.state.settings(facts.species));
    if (facts.kind !== kind)
      faults.push({
        field: 'kind',
        message: say('{name} {value}. Send “{kind}”.', {
          name: SPECIES_WORDS[facts.species].name,
          value: kind === 'rolling' ? say('go round in a rolling cycle') : say('have a season'),
          kind,
        }),
      });
    for (const other of this.book.state.plans.values())
      if (other.id !== id && normalised(other.facts.name) === normalised(facts.name))
        faults.push({
          field: 'name',
          message: say('There is a plan “{name}” already. Choose another name.', { name: other.facts.name }),
        });
    if (faults.length > 0) throw badFields(faults);
  }
}
