import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  outletOf,
  type ChangeOutlet,
  type CreateOutlet,
  type FieldFault,
  type OutletFacts,
  type OutletView,
  say,
} from '@yaylak/contract';
import { normalised, priceFault, SPECIES } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { plain } from '../common/plain';
import { badFields, notFound, staleVersion } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { OutletEntity } from '../records/outlet.entity';
import { priceFaultText } from './priceFaultText';

/** Where the holding sells. An outlet is never removed: sales of other years speak of it; it is closed. */
@Injectable()
export class OutletsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
  ) {}

  /** The open ones before the closed, by species and name. */
  async list(): Promise<OutletView[]> {
    const stored = await this.orm.em.fork().find(OutletEntity, {});
    return stored
      .map(({ id, facts, isClosed, version }) => ({ id, facts, isClosed, version }))
      .sort(
        (a, b) =>
          Number(a.isClosed) - Number(b.isClosed) ||
          SPECIES.indexOf(a.facts.species) - SPECIES.indexOf(b.facts.species) ||
          a.facts.name.localeCompare(b.facts.name),
      );
  }

  create(outlet: CreateOutlet): Promise<OutletView> {
    const { id, ...facts } = plain(outlet);
    return this.book.exclusively(async () => {
      const all = await this.list();
      const known = all.find((o) => o.id === id);
      if (known) return known;
      refuseFaults(facts, all);
      const record: OutletView = { id, facts, isClosed: false, version: 1 };
      await this.book.transact(async (em) => {
        await em.insert(OutletEntity, { ...record });
        await this.changes.keep(em, ['outlet', id], undefined, facts);
      });
      return record;
    });
  }

  change(id: string, change: ChangeOutlet): Promise<OutletView> {
    const { version, isClosed, ...facts } = plain(change);
    return this.book.exclusively(async () => {
      const all = await this.list();
      const before = all.find((o) => o.id === id);
      if (!before) throw notFound('outlet');
      if (before.version !== version) throw staleVersion('outlet', before);
      refuseFaults(
        facts,
        all.filter((o) => o.id !== id),
      );
      const record: OutletView = { id, facts, isClosed: isClosed ?? before.isClosed, version: version + 1 };
      await this.book.transact(async (em) => {
        await em.nativeUpdate(OutletEntity, { id }, { facts, isClosed: record.isClosed, version: record.version });
        await this.changes.keep(em, ['outlet', id], told(before), told(record));
      });
      return record;
    });
  }
}

function refuseFaults(facts: OutletFacts, others: readonly OutletView[]): void {
  const faults: FieldFault[] = [];
  const same = others.find((o) => normalised(o.facts.name) === normalised(facts.name));
  if (same)
    faults.push({ field: 'name', message: say('There is an outlet “{name}” already.', { name: same.facts.name }) });
  if (facts.most !== undefined && facts.most < facts.least)
    faults.push({
      field: 'most',
      message: say(
        'It takes at most {most} and at least {least}: no load would do. Raise the one or lower the other.',
        { most: facts.most, least: facts.least },
      ),
    });
  const { wants } = facts;
  for (const [what, from, to] of [
    [say('Kg'), wants.fromKg, wants.toKg],
    [say('Shape'), wants.fromShape, wants.toShape],
    [say('Fat'), wants.fromFat, wants.toFat],
    [say('Days'), wants.fromDays, wants.toDays],
  ] as const)
    if (from !== undefined && to !== undefined && to < from)
      faults.push({
        field: `wants.to${what}`,
        message: say('{to} lies under {from}: nothing would fit. Exchange the two.', { to, from }),
      });
  const fault = priceFault(outletOf({ id: '', facts }));
  if (fault) faults.push({ field: `prices.${fault.list}`, message: priceFaultText(fault) });
  if (faults.length > 0) throw badFields(faults);
}

/** What of it can be changed. */
const told = ({ facts, isClosed }: OutletView): object => ({ ...facts, isClosed });
