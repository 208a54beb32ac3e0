import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  dayText,
  loadCheckText,
  type ChangeLoad,
  type CreateLoad,
  type LoadAhead,
  type LoadFacts,
  type LoadHeadView,
  type OutletView,
  type PlannedLoadView,
  say,
} from '@yaylak/contract';
import { dayOf, isoOf, isPaidDead, isPresent, loadChecks } from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { plain } from '../common/plain';
import { badFields, conflict, notFound, staleVersion } from '../common/problems';
import { tagView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { HistoryService } from '../history/history.service';
import { LoadEntity } from '../records/load.entity';
import { OutletsService } from './outlets.service';

interface Stored {
  readonly id: string;
  readonly facts: LoadFacts;
  readonly version: number;
}

/** Loads while they are planned: who goes where on which day, each held against what keeps it off. */
@Injectable()
export class LoadsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Those still to go, the next first. */
  async list(): Promise<PlannedLoadView[]> {
    const outlets = await this.outlets.list();
    return (await this.stored())
      .map((load) => this.view(load, outlets))
      .filter((load) => !load.isGone)
      .sort((a, b) => (a.facts.on < b.facts.on ? -1 : 1));
  }

  /** Those still to go in short, the next first; one whose outlet is gone is left out. */
  async ahead(): Promise<LoadAhead[]> {
    const outlets = await this.outlets.list();
    return (await this.list()).flatMap(({ id, facts, heads }) => {
      const outlet = outlets.find((o) => o.id === facts.outletId);
      if (!outlet) return [];
      const { name: outletName, species } = outlet.facts;
      const stopped = heads.filter((h) => h.checks.some((c) => c.isStop)).length;
      return [{ id, on: facts.on, species, outletName, heads: heads.length, stopped }];
    });
  }

  async one(id: string): Promise<PlannedLoadView> {
    const load = (await this.stored()).find((l) => l.id === id);
    if (!load) throw notFound('load');
    return this.view(load, await this.outlets.list());
  }

  create(load: CreateLoad): Promise<PlannedLoadView> {
    const { id, ...facts } = plain(load);
    return this.book.exclusively(async () => {
      const known = (await this.stored()).find((l) => l.id === id);
      if (!known) {
        await this.refuseFaults(facts, []);
        await this.book.transact(async (em) => {
          await em.insert(LoadEntity, { id, facts, version: 1 });
          await this.changes.keep(em, ['load', id], undefined, facts);
        });
      }
      return this.view(known ?? { id, facts, version: 1 }, await this.outlets.list());
    });
  }

  change(id: string, change: ChangeLoad): Promise<PlannedLoadView> {
    const { version, ...facts } = plain(change);
    return this.book.exclusively(async () => {
      const before = (await this.stored()).find((l) => l.id === id);
      if (!before) throw notFound('load');
      const outlets = await this.outlets.list();
      if (before.version !== version) throw staleVersion('load', this.view(before, outlets));
      await this.refuseFaults(facts, before.facts.animalIds, id);
      const load = { id, facts, version: version + 1 };
      await this.book.transact(async (em) => {
        await em.nativeUpdate(LoadEntity, { id }, { facts, version: load.version });
        await this.changes.keep(em, ['load', id], before.facts, facts);
      });
      return this.view(load, outlets);
    });
  }

  drop(id: string, version: number): Promise<void> {
    return this.book.exclusively(async () => {
      const before = (await this.stored()).find((l) => l.id === id);
      if (!before) throw notFound('load');
      if (before.version !== version) throw staleVersion('load', this.view(before, await this.outlets.list()));
      await this.book.transact(async (em) => {
        await em.nativeDelete(LoadEntity, { id });
        await this.changes.keep(em, ['load', id], before.facts, undefined);
      });
    });
  }

  private stored(): Promise<Stored[]> {
    return this.orm.em.fork().find(LoadEntity, {});
  }

  /** Whoever is put on a load has to be free to go; what came up since is shown and does not undo the plan. */
  private async refuseFaults(facts: LoadFacts, onBefore: readonly string[], own?: string): Promise<void> {
    const outlets = await this.outlets.list();
    const others = (await this.stored()).filter((l) => l.id !== own && !this.view(l, outlets).isGone);
    const outlet = outlets.find((o) => o.id === facts.outletId);
    if (!outlet)
      throw badFields([{ field: 'outletId', message: say('There is no such outlet. Choose one of the list.') }]);
    for (const id of facts.animalIds) {
      const found = this.animals.find(id);
      if (found.record.species !== outlet.facts.species)
        throw badFields([
          {
            field: 'animalIds',
            message: say('{name} is none of the species {name2} takes.', {
              name: this.book.nameOf(id),
              name2: outlet.facts.name,
            }),
          },
        ]);
      if (onBefore.includes(id)) continue;
      const stop = this.head(id, facts, outlet).checks.find((c) => c.isStop);
      if (stop) throw conflict(say('{name} stays here.', { name: this.book.nameOf(id) }), loadCheckText(stop));
      const other = others.find((l) => l.facts.animalIds.includes(id));
      if (other)
        throw conflict(
          say('{name} is on a load already.', { name: this.book.nameOf(id) }),
          say('It goes to {n} on {date}. Remove it from that one first.', {
            n: outlets.find((o) => o.id === other.facts.outletId)?.facts.name ?? say('another outlet'),
            date: dayText(other.facts.on),
          }),
        );
    }
  }

  private view({ id, facts, version }: Stored, outlets: readonly OutletView[]): PlannedLoadView {
    const outlet = outlets.find((o) => o.id === facts.outletId);
    const heads = facts.animalIds
      .filter((animalId) => this.book.state.animals.has(animalId))
      .map((animalId) => this.head(animalId, facts, outlet));
    const went = heads.filter(({ tag }) => !isPresent(this.animals.find(tag.animalId), this.clock.today()));
    const aboard = heads.filter(({ tag }) => facts.aboard?.includes(tag.animalId));
    const leftFor = ({ tag }: LoadHeadView): boolean =>
      this.animals.find(tag.animalId).departures.at(-1)?.outletId === facts.outletId;
    // It may leave with those aboard alone: the others stayed and are free for another.
    const isGone =
      heads.length > 0 &&
      (went.length === heads.length || (aboard.length > 0 && aboard.every((h) => went.includes(h) && leftFor(h))));
    return { id, facts, version, heads: isGone ? went : heads, isGone };
  }

  private head(id: string, { on }: LoadFacts, outlet: OutletView | undefined): LoadHeadView {
    const facts = this.animals.find(id);
    const settings = this.book.state.settings(facts.record.species);
    const last = this.book.state.daily(facts).at(-1);
    const today = this.clock.today();
    // One whose day is over leaves today at the soonest.
    const goesOn = dayOf(on) < today ? today : dayOf(on);
    return {
      tag: tagView(facts, today),
      weight: last ? { kg: last.kg, on: isoOf(last.on) } : null,
      checks: outlet
        ? loadChecks(
            facts,
            { on: goesOn, isDead: isPaidDead(outlet.facts.payBy), outletName: outlet.facts.name },
            settings,
            this.history.chance(facts)?.window,
          )
        : [],
    };
  }
}
