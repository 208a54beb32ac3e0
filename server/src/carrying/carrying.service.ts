import { Inject, Injectable } from '@nestjs/common';
import type { CarryingQuery, CarryingView, InYoungView } from '@yaylak/contract';
import {
  addDays,
  aimLine,
  bySpecies,
  CARRYING_FROM,
  carryingBlocks,
  countedAt,
  curveEnd,
  EMPTY_UNDER,
  groupOn,
  inYoungBy,
  inYoungCurve,
  isFemaleOfAge,
  isoOf,
  isPresent,
  matingSeasons,
  scanningRate,
  VERY_LIKELY,
  type AnimalFacts,
  type CarryingBlock,
  type CurveFemale,
  type Day,
  type MatingSeason,
  type Species,
  type Spell,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { HISTORY_KINDS, MatingHistoryService } from '../mating/history.service';
import { BirthsToComeService } from './birthsToCome.service';
import { CarryingFemalesService } from './carryingFemales.service';
import { LaboratoryService } from './laboratory.service';

/** Seasons to choose among. */
const SEASONS = 6;
/** A season is one in which so many of those that could be were served; one alone of several is a slip. */
const MAIN_SHARE = 0.25;
const MAIN_LEAST = 2;

/** A season of mating: who was served in it, and who might have been. */
interface SeasonRead {
  readonly season: MatingSeason;
  readonly served: ReadonlySet<AnimalFacts>;
  readonly base: readonly AnimalFacts[];
}

/** Who carries, who does not, and what the season brings. */
@Injectable()
export class CarryingService {
  private readonly seasonsOf: Readonly<Record<Species, Whole<readonly SeasonRead[]>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(CarryingFemalesService) private readonly females: CarryingFemalesService,
    @Inject(BirthsToComeService) private readonly births: BirthsToComeService,
    @Inject(LaboratoryService) private readonly laboratory: LaboratoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.seasonsOf = bySpecies((species) => book.ofKinds(HISTORY_KINDS, () => this.readSeasons(species)));
  }

  async view({ species, groupId, maleId, season: asked }: CarryingQuery): Promise<CarryingView> {
    const today = this.clock.today();
    const seasons = this.seasons(species);
    const main = this.mainSeason(seasons);
    const chosen = seasons.find((s) => isoOf(s.season.from) === asked) ?? main;
    const season = chosen?.season;
    const whole = chosen?.base ?? [];
    const base = season ? whole.filter((f) => this.isAmong(f, season, groupId, maleId)) : [];
    const open = this.open(species, { groupId, maleId });
    // Nobody is awaited of a season long over, and its empty ones are no question any more.
    const isCurrent = chosen === main && open.length > 0;
    const awaited = new Set(open);
    // Who was served in it and is awaited no more has given birth.
    const unserved = base.filter((f) => isPresent(f, today) && !awaited.has(f) && !chosen?.served.has(f));
    const present = isCurrent ? [...open, ...unserved] : [];
    const ids = new Set(present.map((f) => f.record.id));
    const { currency } = await this.holding.settings();
    return {
      on: isoOf(today),
      species,
      currency,
      groups: season ? this.groupsOf(whole, season) : [],
      males: season ? this.malesOf(whole, season) : [],
      seasons: seasons.map(({ season: s, base: own }) => ({
        from: isoOf(s.from),
        to: isoOf(s.to),
        females: own.length,
      })),
      season: season ? isoOf(season.from) : null,
      isCurrent,
      females: present.map((f) => this.females.view(f)),
      testing: isCurrent ? this.females.plans(species, present) : [],
      curve: season ? this.curve(base, season, species, maleId) : null,
      births: isCurrent ? await this.births.view(species, ids) : null,
      tubesOut: this.laboratory.tubesOut().length,
    };
  }

  /** Seasons as stretches of the year: mating, carrying, and births awaited. */
  band(species: Species): (CarryingBlock & { readonly season: Day })[] {
    const { gestationDays: g } = this.book.state.settings(species);
    const today = this.clock.today();
    const carried = this.book.state.present(today).flatMap((f) => {
      if (f.record.species !== species || f.record.sex !== 'female') return [];
      const found = this.history.chance(f);
      return found && found.chance.probability >= CARRYING_FROM ? [found] : [];
    });
    return this.seasons(species).flatMap(({ season, served }) => {
      const own = [...served].flatMap((f) => this.spellsIn(f, season));
      const awaited = carried.flatMap(({ spell, conceivedOn }) =>
        spell.on >= season.from && spell.on <= season.to ? [conceivedOn] : [],
      );
      return carryingBlocks({
        ...season,
        females: served.size,
        births: own.flatMap((s) => (s.outcome.kind === 'born' ? [s.outcome.on] : [])),
        awaited:
          awaited.length === 0
            ? undefined
            : { from: addDays(Math.min(...awaited) as Day, g.from), to: addDays(Math.max(...awaited) as Day, g.to) },
      }).map((block) => ({ ...block, season: season.from }));
    });
  }

  /** The last season that most of the herd went by, not one served by the way or by mistake. */
  private mainSeason(seasons: readonly SeasonRead[]): SeasonRead | undefined {
    const isMain = ({ served, base }: SeasonRead): boolean =>
      served.size >= Math.max(MAIN_SHARE * base.length, Math.min(MAIN_LEAST, base.length));
    return seasons.find(isMain) ?? seasons[0];
  }

  /** Females of a species that are here and may carry, whenever they were served. */
  private open(
    species: Species,
    { groupId, maleId }: { readonly groupId: string | undefined; readonly maleId: string | undefined },
  ): AnimalFacts[] {
    const today = this.clock.today();
    return this.history.females(species).filter((f) => {
      if (!isPresent(f, today)) return false;
      const { spell } = this.history.chance(f) ?? this.history.unanswered(f) ?? {};
      const maleIds = spell?.maleIds ?? this.females.unmarked(f)?.maleIds;
      return (
        maleIds !== undefined &&
        (groupId === undefined || groupOn(f, today) === groupId) &&
        (maleId === undefined || maleIds.includes(maleId))
      );
    });
  }

  /** Seasons of mating by the services written down, the latest first. */
  private seasons(species: Species): readonly SeasonRead[] {
    return this.seasonsOf[species].get();
  }

  /**
   * Females eligible at the start of a season: here then and of age, of the groups in which anybody was served. Where
   * nobody was in a group, those that were served.
   */
  private readBase(species: Species, season: MatingSeason, served: ReadonlySet<AnimalFacts>): AnimalFacts[] {
    const settings = this.book.state.settings(species);
    const groups = new Set([...served].flatMap((f) => groupOn(f, season.from) ?? []));
    return this.history.females(species).filter((f) => {
      if (served.has(f)) return true;
      const wasHere = (f.arrivedOn ?? season.from) <= season.from && isPresent(f, season.from);
      const wasOfAge = isFemaleOfAge(f.record.bornOn, settings, season.from);
      const groupId = groupOn(f, season.from);
      return wasHere && wasOfAge && groupId !== undefined && groups.has(groupId);
    });
  }

  private readSeasons(species: Species): readonly SeasonRead[] {
    const { heatCycleDays } = this.book.state.settings(species);
    const days = this.history.spellsOf(species).flatMap((s) => [s.on, s.lastOn]);
    return matingSeasons(days, heatCycleDays.mean)
      .toReversed()
      .slice(0, SEASONS)
      .map((season) => {
        const served = new Set(this.history.females(species).filter((f) => this.spellsIn(f, season).length > 0));
        return { season, served, base: this.readBase(species, season, served) };
      });
  }

  private spellsIn(facts: AnimalFacts, { from, to }: MatingSeason): Spell[] {
    return this.history.of(facts).spells.filter((s) => s.on >= from && s.on <= to);
  }

  private isAmong(
    facts: AnimalFacts,
    season: MatingSeason,
    groupId: string | undefined,
    maleId: string | undefined,
  ): boolean {
    if (groupId !== undefined && groupOn(facts, season.from) !== groupId) return false;
    return maleId === undefined || this.spellsIn(facts, season).some((s) => s.maleIds.includes(maleId));
  }

  private groupsOf(base: readonly AnimalFacts[], { from }: MatingSeason): CarryingView['groups'] {
    const ids = new Set(base.flatMap((f) => groupOn(f, from) ?? []));
    return [...ids].flatMap((id) => {
      const group = this.book.state.groups.get(id);
      return group ? [{ id, name: group.name }] : [];
    });
  }

  private malesOf(base: readonly AnimalFacts[], season: MatingSeason): CarryingView['males'] {
    const ids = new Set(base.flatMap((f) => this.spellsIn(f, season).flatMap((s) => s.maleIds)));
    return [...ids].flatMap((id) => {
      const male = this.book.state.animals.get(id);
      return male ? [tagView(male, this.clock.today())] : [];
    });
  }

  private curve(
    base: readonly AnimalFacts[],
    season: MatingSeason,
    species: Species,
    maleId: string | undefined,
  ): InYoungView | null {
    const settings = this.book.state.settings(species);
    const cycle = settings.heatCycleDays.mean;
    const until = curveEnd(season, cycle, this.clock.today());
    const rows = base.map((f) => this.taken(f, season, maleId));
    const known = inYoungCurve(
      rows.map((r) => (r.weight >= VERY_LIKELY ? { ...r, weight: 1 } : { ...r, conceivedOn: undefined, weight: 0 })),
      season.from,
      until,
    );
    // Those known count whole here too, or the foretold line would fall under the known one.
    const foretold = inYoungCurve(
      rows.map((r) => (r.weight >= VERY_LIKELY ? { ...r, weight: 1 } : r)),
      season.from,
      until,
    );
    if (!known || !foretold) return null;
    const weeks = Math.ceil(known.perDay.length / 7);
    const scans = base.flatMap((f) => this.scanIn(f, season) ?? []);
    return {
      from: isoOf(season.from),
      base: known.base,
      cycleDays: cycle,
      known: known.perDay,
      foretold: foretold.perDay,
      aims: aimLine(settings.carrying, cycle),
      weeks: Array.from({ length: weeks }, (_, i) => ({
        week: i + 1,
        known: inYoungBy(known, 7 * (i + 1)),
        foretold: inYoungBy(foretold, 7 * (i + 1)),
      })),
      firstCycle: inYoungBy(known, Math.max(1, cycle)),
      secondCycle: inYoungBy(known, Math.max(1, 2 * cycle)),
      threeWeeks: inYoungBy(known, 21),
      sixWeeks: inYoungBy(known, 42),
      medianDay: known.medianDay ?? null,
      conceived: known.conceived,
      empty: rows.filter((r) => r.isEmpty).length,
      unknown: rows.filter((r) => r.isServed && !r.isEmpty && r.weight < VERY_LIKELY).length,
      notServed: rows.filter((r) => !r.isServed).length,
      left: rows.filter((r) => r.leftOn !== undefined && r.leftOn <= until).length,
      scanning: scanningRate(scans) ?? null,
    };
  }

  /** What a female of the base comes to in the curve: the day she conceived, how surely, and when she left. */
  private taken(
    facts: AnimalFacts,
    season: MatingSeason,
    maleId: string | undefined,
  ): CurveFemale & { readonly isEmpty: boolean; readonly isServed: boolean } {
    const leftOn = facts.departures[0]?.on;
    const own = this.spellsIn(facts, season).filter((s) => maleId === undefined || s.maleIds.includes(maleId));
    const born = own.find((s) => s.outcome.kind === 'born');
    const isServed = own.length > 0;
    if (born) return { conceivedOn: born.lastOn, weight: 1, leftOn, isEmpty: false, isServed };
    const found = this.history.chance(facts);
    if (found && own.includes(found.spell)) {
      const { probability } = found.chance;
      const isEmpty = found.beforeWaiting < EMPTY_UNDER;
      return {
        conceivedOn: isEmpty ? undefined : found.conceivedOn,
        weight: isEmpty ? 0 : probability,
        leftOn,
        isEmpty,
        isServed,
      };
    }
    const isOver = own.length > 0 && own.every((s) => s.outcome.kind !== 'open');
    return { conceivedOn: undefined, weight: 0, leftOn, isEmpty: isOver, isServed };
  }

  /** Young she was scanned with in a season, 0 for empty; undefined where nobody counted. */
  private scanIn({ pregnancyTests }: AnimalFacts, { from, to }: MatingSeason): number | undefined {
    const until = addDays(to, SCAN_WITHIN_DAYS);
    const counts = pregnancyTests.map((t) => (t.on > from && t.on <= until ? countedAt(t) : undefined));
    return counts.findLast((count) => count !== undefined);
  }
}

/** A scan so long after the last service of a season is of that season. */
const SCAN_WITHIN_DAYS = 150;
