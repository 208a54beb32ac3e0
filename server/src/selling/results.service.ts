import { Inject, Injectable } from '@nestjs/common';
import {
  outletOf,
  type GraderView,
  type GradersComparedView,
  type HabitView,
  type LoadView,
  type OutletView,
  type ResultsQuery,
  type ResultsView,
  type SoldHeadView,
} from '@yaylak/contract';
import {
  compareGraders,
  FAT_GROUPS,
  fatGroupOf,
  habitsAt,
  isoOf,
  killingOut,
  saleDifference,
  USUAL_KILLING_OUT,
  yearOf,
  type GradedPair,
  type GradedPairs,
  type GraderHabit,
  type SaleRecord,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { LearnedService } from './learned.service';
import { OutletsService } from './outlets.service';

/** Loads worked out before others are let on. */
const AT_ONCE = 5;

/** What sales brought against what was expected, and what they taught. */
@Injectable()
export class ResultsService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(LearnedService) private readonly learned: LearnedService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view({ species, year }: ResultsQuery): Promise<ResultsView> {
    const records = this.learned.records(species);
    const outlets = (await this.outlets.list()).filter((o) => o.facts.species === species);
    const years = [...new Set(records.map((r) => yearOf(r.left.on)))].sort((a, b) => b - a);
    const chosen = year ?? years[0] ?? null;
    const loads: LoadView[] = [];
    for (const [i, load] of loadsOf(records.filter((r) => yearOf(r.left.on) === chosen)).entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
      loads.push(this.load(species, load, outlets));
    }
    const pairs = this.learned.pairs(species);
    const { killingKind } = this.book.state.settings(species).selling;
    return {
      species,
      years,
      year: chosen,
      outlets: outlets.map(({ id, facts }) => ({ id, name: facts.name })),
      loads: loads.reverse(),
      killingOut: {
        ...killingOut(this.learned.killed(species), killingKind),
        kind: killingKind,
        usual: USUAL_KILLING_OUT[killingKind],
      },
      graders: outlets.flatMap(({ id }) => gradersAt(pairs, id)),
      compared: comparedAt(
        pairs,
        outlets.map((o) => o.id),
      ),
    };
  }

  private load(species: Species, load: readonly SaleRecord[], outlets: readonly OutletView[]): LoadView {
    const [{ outletId, left }] = load as [SaleRecord];
    const outlet = outlets.find((o) => o.id === outletId);
    const heads = load.map((r) => this.head(species, r, outlet));
    const known = heads.flatMap((h) => h.difference ?? []);
    return {
      outletId: outlet?.id ?? null,
      buyer: left.buyer ?? null,
      on: isoOf(left.on),
      heads,
      waiting: load.filter((r) => r.left.how === 'slaughtered' && !r.carcass).length,
      expectedMinor: known.reduce((s, d) => s + d.expectedMinor, 0),
      paidMinor: known.reduce((s, d) => s + d.paidMinor, 0),
      compared: known.length,
    };
  }

  private head(species: Species, record: SaleRecord, outlet: OutletView | undefined): SoldHeadView {
    const { facts, left, carcass } = record;
    const settings = this.book.state.settings(species);
    const difference =
      outlet &&
      saleDifference(record, outletOf(outlet), settings, {
        pairs: this.learned.pairs(species, left.on),
        killed: this.learned.killed(species, left.on),
        daily: this.book.state.daily(facts),
        group: fatGroupOf(facts.record, settings),
      });
    return {
      tag: tagView(facts, this.clock.today()),
      how: left.how,
      liveKg: left.kg ?? null,
      carcass: carcass
        ? {
            entryId: carcass.entryId,
            on: isoOf(carcass.on),
            kg: carcass.carcassKg,
            shape: carcass.shape ?? null,
            fat: carcass.fat ?? null,
          }
        : null,
      priceMinor: carcass?.priceMinor ?? left.priceMinor ?? null,
      difference: difference ?? null,
    };
  }
}

/** Sales of one outlet on one day, in the order they left. */
function loadsOf(records: readonly SaleRecord[]): SaleRecord[][] {
  const loads = new Map<string, SaleRecord[]>();
  for (const record of records) {
    const key = `${record.left.on} ${record.outletId ?? record.left.buyer ?? ''}`;
    const load = loads.get(key);
    if (load) load.push(record);
    else loads.set(key, [record]);
  }
  return [...loads.values()];
}

const habitView = ({ pairs, mean, halfWidth, used, sd }: GraderHabit): HabitView => ({
  pairs,
  mean: mean ?? null,
  halfWidth: halfWidth ?? null,
  used,
  sd,
});

/** A grader for all that went there, then for each breed group, where there is more than one. */
function gradersAt(pairs: GradedPairs, outletId: string): GraderView[] {
  const there = [...pairs.shape, ...pairs.fat].filter((p) => p.outletId === outletId);
  if (there.length === 0) return [];
  const groups = FAT_GROUPS.filter((g) => there.some((p) => p.breedGroup === g));
  return [undefined, ...(groups.length > 1 ? groups : [])].map((group) => {
    const { shape, fat } = habitsAt(pairs, outletId, group);
    return { outletId, breedGroup: group ?? null, shape: habitView(shape), fat: habitView(fat) };
  });
}

/** Each two outlets that have enough pairs each of shape or of fat. */
function comparedAt({ shape, fat }: GradedPairs, ids: readonly string[]): GradersComparedView[] {
  const at = (pairs: readonly GradedPair[], id: string): number[] =>
    pairs.flatMap((p) => (p.outletId === id ? [p.difference] : []));
  return ids.flatMap((first, i) =>
    ids.slice(i + 1).flatMap((second) => {
      const [byShape, byFat] = [shape, fat].map((p) => compareGraders(at(p, first), at(p, second)));
      if (!byShape && !byFat) return [];
      return [{ first, second, shape: byShape ?? null, fat: byFat ?? null }];
    }),
  );
}
