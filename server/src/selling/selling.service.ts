import { Inject, Injectable } from '@nestjs/common';
import {
  outletOf,
  type OutletView,
  type PenSplitView,
  type SaleAnimalView,
  type SaleCell,
  type SaleOutlook,
  type SaleRow,
  type SellingQuery,
  type SellingView,
} from '@yaylak/contract';
import {
  fatGroupOf,
  growthCurve,
  groupGain,
  groupOn,
  hangsOn,
  headAtOutlets,
  isoOf,
  isPresent,
  marginRange,
  mayBeSold,
  MOST_OUTLETS,
  openValues,
  saleFacts,
  SEXES,
  splitPen,
  stepAt,
  unfitChecks,
  type AnimalFacts,
  type GroupGain,
  type GrowthCurve,
  type HeadAtOutlet,
  type HeadAtOutlets,
  type SaleFacts,
  type Species,
  type UnfitCheck,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Derived } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { notFound } from '../common/problems';
import { tagView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { LearnedService } from './learned.service';
import { OutletsService } from './outlets.service';

/** Days of the curve that are shown: eight weeks. */
const SHOWN_DAYS = 56;
/** Heads worked out before others are let on. */
const AT_ONCE = 10;

/** Those an animal stands with. */
interface Pen {
  readonly gain: GroupGain | undefined;
  readonly heads: number;
}
/** With what an animal is held against the outlets. */
interface AskedWith extends Pen {
  readonly outlets: readonly OutletView[];
}

/** Who is ready, for whom, and what each brings where. */
@Injectable()
export class SellingService {
  private readonly curves: Derived<GrowthCurve>;
  /** A pen is asked for again with every look at it, and with every fact written down of anybody. */
  private readonly rows: Derived<SaleRow, AskedWith>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(LearnedService) private readonly learned: LearnedService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.curves = new Derived(
      () => this.book.state,
      (facts) =>
        growthCurve(facts.record.bornOn, this.book.state.daily(facts), this.book.state.settings(facts.record.species)),
    );
    this.rows = new Derived(
      () => this.book.state,
      (facts, asked) => this.row(facts, this.head(facts, asked)),
      (facts, asked) => this.hangsOn(facts, asked),
    );
  }

  async view({ species, groupId, outside }: SellingQuery): Promise<SellingView> {
    const today = this.clock.today();
    const forSale = this.forSale(species);
    const groups = this.groupsOf(forSale);
    const chosen = groupId ?? groups[0]?.id ?? null;
    const pen = forSale.filter((f) => (groupOn(f, today) ?? null) === chosen);
    const outlets = (await this.outlets.list()).filter((o) => o.facts.species === species && !o.isClosed);
    const rows = await this.rowsOf(pen, outlets);
    const dearest = dearestFirst(rows, outlets);
    return {
      on: isoOf(today),
      species,
      outlets,
      groups,
      groupId: chosen,
      rows: rows.sort(byState),
      split: splitOf(rows, dearest.slice(0, MOST_OUTLETS), outside === 'asked'),
      notSplit: dearest.slice(MOST_OUTLETS).map((o) => o.id),
    };
  }

  /** Every animal of a species that may be sold, each as it stands in its pen. */
  async allRows(species: Species): Promise<SaleRow[]> {
    const today = this.clock.today();
    const outlets = (await this.outlets.list()).filter((o) => o.facts.species === species && !o.isClosed);
    const pens = new Map<string | undefined, AnimalFacts[]>();
    for (const facts of this.forSale(species)) {
      const id = groupOn(facts, today);
      const pen = pens.get(id);
      if (pen) pen.push(facts);
      else pens.set(id, [facts]);
    }
    const rows: SaleRow[] = [];
    for (const pen of pens.values()) rows.push(...(await this.rowsOf(pen, outlets)));
    return rows;
  }

  private forSale(species: Species): AnimalFacts[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    return this.book.state.ofSpecies(species).filter((f) => isPresent(f, today) && mayBeSold(f, today, settings));
  }

  /** Those of one pen at its outlets. */
  private async rowsOf(pen: readonly AnimalFacts[], outlets: readonly OutletView[]): Promise<SaleRow[]> {
    const gains = this.gainsBySex(pen);
    const rows: SaleRow[] = [];
    for (const [i, facts] of pen.entries()) {
      if (i % AT_ONCE === 0) await breathe();
      rows.push(this.rows.of(facts, { outlets, gain: gains.get(facts.record.sex), heads: pen.length }));
    }
    return rows;
  }

  /** Where those for sale stand, the largest pen first; those in no group are not a pen. */
  private groupsOf(forSale: readonly AnimalFacts[]): SellingView['groups'] {
    const counts = new Map<string, number>();
    for (const facts of forSale) {
      const id = groupOn(facts, this.clock.today());
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...counts]
      .map(([id, count]) => ({ id, count, name: this.book.state.groups.get(id)?.name ?? '' }))
      .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name));
  }

  /** How those of a pen gain, by sex: what one weighed once is taken to do. */
  private gainsBySex(pen: readonly AnimalFacts[]): ReadonlyMap<string, GroupGain | undefined> {
    const { state } = this.book;
    const today = this.clock.today();
    return new Map(
      SEXES.map((sex) => {
        const members = pen.filter((f) => f.record.sex === sex);
        const [first] = members;
        return [
          sex,
          first &&
            groupGain(
              members.map((f) => state.daily(f)),
              today,
              state.settings(first.record.species),
            ),
        ] as const;
      }),
    );
  }

  /** An animal at the outlets; undefined of one whose weight ahead is not known. */
  private head(facts: AnimalFacts, { outlets, gain, heads }: AskedWith): HeadAtOutlets | undefined {
    const today = this.clock.today();
    const settings = this.book.state.settings(facts.record.species);
    const sale = saleFacts(facts, today, settings);
    return headAtOutlets(
      {
        today,
        bornOn: facts.record.bornOn,
        daily: this.book.state.daily(facts),
        curve: this.curves.of(facts),
        group: gain,
        penHeads: heads,
        feedDays: sale.feedDays,
        clearIn: sale.clearIn,
        oldEnoughIn: sale.oldEnoughIn,
        shape: sale.shape,
        felt: sale.felt,
        fatGroup: fatGroupOf(facts.record, settings),
        killingOut: this.learned.killingOut(facts.record.species),
      },
      outlets.map(outletOf),
      settings,
      this.learned.habitsOf(facts),
    );
  }

  private unfit(facts: AnimalFacts): UnfitCheck | undefined {
    const settings = this.book.state.settings(facts.record.species);
    return unfitChecks(facts, this.clock.today(), settings, this.history.chance(facts)?.window)[0];
  }

  /** What a row hangs on beside its own animal: the day, its pen, the outlets, and what sales have taught. */
  private hangsOn(facts: AnimalFacts, { outlets, gain, heads }: AskedWith): string {
    const today = this.clock.today();
    const group = this.book.state.groups.get(groupOn(facts, today) ?? '');
    const habitsOf = this.learned.habitsOf(facts);
    return [
      today,
      this.unfit(facts)?.code,
      heads,
      gain?.meanKgPerDay,
      gain?.variance,
      this.learned.killingOut(facts.record.species),
      group?.name,
      ...outlets.flatMap((o) => {
        const { shape, fat } = habitsOf(o);
        return [o.id, o.version, shape.used, shape.sd, fat.used, fat.sd];
      }),
    ].join();
  }

  /** One animal over the coming days at each outlet, with how sure that is and what it hangs on. */
  async animal(id: string): Promise<SaleAnimalView> {
    const facts = this.book.state.animals.get(id);
    const today = this.clock.today();
    if (!facts || !isPresent(facts, today)) throw notFound('animal');
    const { species, sex } = facts.record;
    const groupId = groupOn(facts, today);
    const settings = this.book.state.settings(species);
    const pen = [...this.book.state.animals.values()].filter(
      (f) =>
        f.record.species === species &&
        isPresent(f, today) &&
        groupOn(f, today) === groupId &&
        mayBeSold(f, today, settings),
    );
    const outlets = (await this.outlets.list()).filter((o) => o.facts.species === species && !o.isClosed);
    const head = this.head(facts, { outlets, gain: this.gainsBySex(pen).get(sex), heads: Math.max(1, pen.length) });
    return {
      on: isoOf(today),
      row: this.row(facts, head),
      outlets,
      outlooks: (head?.at ?? []).map((at) => outlook(at)),
    };
  }

  private row(facts: AnimalFacts, head: HeadAtOutlets | undefined): SaleRow {
    const today = this.clock.today();
    const { state } = this.book;
    const { species, sex } = facts.record;
    const sale = saleFacts(facts, today, state.settings(species));
    const daily = state.daily(facts);
    const groupId = groupOn(facts, today);
    const lastKg = daily.at(-1);
    const felt = sale.felt.at(-1);
    const held = heldOf(sale, this.unfit(facts));
    return {
      tag: tagView(facts, today),
      sex,
      ageDays: sale.ageDays ?? null,
      groupName: (groupId && state.groups.get(groupId)?.name) ?? null,
      state: held ? 'held' : (head?.state ?? 'not-known'),
      held,
      inDays: head?.inDays ?? null,
      closesAtId: head?.closesAt?.outlet.id ?? null,
      weight:
        head && lastKg
          ? {
              kg: lastKg.kg,
              on: isoOf(lastKg.on),
              nowKg: head.weight.kgIn(0),
              nowSd: head.weight.sdIn(0),
              gainKgPerDay: head.weight.gain,
              gainSd: head.weight.gainSd,
              ownShare: head.weight.ownShare,
              isPlateau: head.weight.isPlateau,
            }
          : null,
      finish:
        felt || sale.shape
          ? {
              on: isoOf(felt && (!sale.shape || felt.on > sale.shape.on) ? felt.on : (sale.shape?.on ?? today)),
              shape: sale.shape?.step ?? null,
              fat: felt ? stepAt(felt.fat) : null,
            }
          : null,
      feedDays: sale.feedDays ?? null,
      curve:
        head?.best?.days.kind === 'days' ? head.best.days.margins.slice(0, SHOWN_DAYS + 1).map((m) => m ?? null) : [],
      bestOutletId: head?.best?.outlet.id ?? null,
      cells: head ? head.at.map((at) => cell(at, !held)) : [],
      staysMinor: head?.staysMinor ?? null,
    };
  }
}

/** Drawn the same each time it is asked. */
const SEED = 17;

const outlook = ({ outlet, animal, days, breakeven }: HeadAtOutlet): SaleOutlook => ({
  outletId: outlet.id,
  margins: days.kind === 'days' ? days.margins.map((m) => m ?? null) : [],
  best: days.kind === 'days' ? { inDays: days.bestIn, minor: days.bestMinor, run: days.run } : null,
  noDay: days.kind === 'no-day' ? days.reason : null,
  range: days.kind === 'days' ? marginRange(animal, outlet, days.bestIn, SEED) : null,
  breakevenKgPerDay: breakeven === undefined || breakeven === Infinity ? null : breakeven,
  hangsOn: days.kind === 'days' ? hangsOn(animal, outlet) : [],
});

const cell = ({ outlet, nowMinor, chanceNow, readiness, days }: HeadAtOutlet, mayGo: boolean): SaleCell => ({
  outletId: outlet.id,
  chanceNow,
  nowMinor: mayGo ? (nowMinor ?? null) : null,
  readiness,
  best: days.kind === 'days' ? { inDays: days.bestIn, minor: days.bestMinor, run: days.run } : null,
  noDay: days.kind === 'no-day' ? days.reason : null,
});

function heldOf(
  { clearIn, clearOn, oldEnoughIn, reservedFor }: SaleFacts,
  unfit: UnfitCheck | undefined,
): SaleRow['held'] {
  if (clearIn > 0) return { of: 'withdrawal', clearOn: clearOn === undefined ? null : isoOf(clearOn), buyer: null };
  if (reservedFor !== undefined) return { of: 'reserved', clearOn: null, buyer: reservedFor };
  if (oldEnoughIn > 0) return { of: 'too-young', clearOn: null, buyer: null };
  return unfit ? { of: 'unfit', clearOn: null, buyer: null, unfit } : null;
}

/** Those to send first: closing before ready, the dearest first; the held and unknown last. */
const ORDER = ['closing', 'ready', 'plateau', 'in-days', 'not-felt', 'never', 'held', 'not-known'] as const;
function byState(a: SaleRow, b: SaleRow): number {
  const worth = (r: SaleRow): number => Math.max(...r.cells.map((c) => c.nowMinor ?? -Infinity), -Infinity);
  const byWorth = worth(b) === worth(a) ? 0 : worth(b) - worth(a);
  return (
    ORDER.indexOf(a.state) - ORDER.indexOf(b.state) ||
    (a.inDays ?? 0) - (b.inDays ?? 0) ||
    byWorth ||
    a.tag.text.localeCompare(b.tag.text)
  );
}

/** Outlets by what the whole pen would bring there today. */
function dearestFirst(rows: readonly SaleRow[], outlets: readonly OutletView[]): OutletView[] {
  const worth = ({ id }: OutletView): number =>
    rows.reduce((sum, r) => sum + (r.cells.find((c) => c.outletId === id)?.nowMinor ?? 0), 0);
  return [...outlets].sort((a, b) => worth(b) - worth(a));
}

/** The split of those that may go or stay; one kept for a buyer is no part of it. */
function splitOf(rows: readonly SaleRow[], outlets: readonly OutletView[], asksAll: boolean): PenSplitView | null {
  const heads = rows
    .filter((r) => r.held?.of !== 'reserved')
    .map((r) => {
      const at = outlets.map((o) => {
        const there = r.cells.find((c) => c.outletId === o.id);
        return { minor: there?.nowMinor ?? undefined, isWanted: there?.readiness.kind === 'ready' };
      });
      const stays = r.staysMinor ?? undefined;
      return { id: r.tag.animalId, values: openValues(at, stays, asksAll), stays };
    })
    .filter((h) => h.stays !== undefined || h.values.some((v) => v !== undefined));
  if (heads.length === 0 || outlets.length === 0) return null;
  const found = splitPen(
    heads,
    outlets.map(({ id, facts: { tripMinor, least, most } }) => ({ id, tripMinor, least, most })),
  );
  if (found.kind === 'no-split') return null;
  const idOf = (column: number | 'stays'): string => (column === 'stays' ? 'stays' : (outlets[column]?.id ?? ''));
  return {
    totalMinor: found.best.totalMinor,
    columns: Object.fromEntries(heads.map((h, i) => [h.id, idOf(found.best.columns[i] ?? 'stays')])),
    alone: found.alone.map(({ outlet, totalMinor, losesMinor }) => ({
      outletId: idOf(outlet),
      totalMinor,
      losesMinor,
    })),
  };
}
