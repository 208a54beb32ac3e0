import { Inject, Injectable } from '@nestjs/common';
import type { BirthListView, BirthsToComeView } from '@yaylak/contract';
import {
  birthsToCome,
  bySpecies,
  groupOn,
  halfWidth80,
  isoOf,
  SPECIES,
  type AnimalFacts,
  type BirthsToCome,
  type Carrying,
  type CarryingNow,
  type Species,
  birthsWithin,
  daysShortOfPens,
  youngTold,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { calledAs, otherSireOf, tagView, windowView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { MatingHistoryService } from '../mating/history.service';

/** A female that is waited for. */
export interface Awaited {
  readonly id: string;
  readonly facts: AnimalFacts;
  readonly chance: CarryingNow;
}

/** Under this she is not waited for. */
const AWAITED_FROM = 0.2;
/** A pen is taken for so many days about a birth. */
const PEN_DAYS = 3;
/** Births of another species in one week from which the two are said to fall together. */
const OVERLAP_FROM = 0.5;

/** Births that are to come: day by day, and who when. */
@Injectable()
export class BirthsToComeService {
  private readonly ofAll: Readonly<Record<Species, Whole<BirthsToCome | undefined>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.ofAll = bySpecies((species) => book.whole(() => this.ofAwaited(species, () => true)));
  }

  /** Births of a species from today on; of some of its females, where they are named. */
  toCome(species: Species, among?: ReadonlySet<string>): BirthsToCome | undefined {
    return among ? this.ofAwaited(species, (id) => among.has(id)) : this.ofAll[species].get();
  }

  private ofAwaited(species: Species, isAsked: (id: string) => boolean): BirthsToCome | undefined {
    const carrying = this.awaited(species).flatMap(({ id, chance }): Carrying[] =>
      isAsked(id) ? [{ spread: chance.spread, probability: chance.chance.probability }] : [],
    );
    return birthsToCome(carrying, this.clock.today());
  }

  async view(species: Species, among: ReadonlySet<string>): Promise<BirthsToComeView | null> {
    const births = this.toCome(species, among);
    if (!births) return null;
    const { resources } = await this.holding.settings();
    const pens = resources?.birthPens.find((p) => p.species === species)?.pens ?? null;
    return {
      from: isoOf(births.from),
      perDay: births.perDay,
      sdPerDay: births.sdPerDay,
      total: births.total,
      peakWeekFrom: isoOf(births.peakWeekFrom),
      peakWeek: births.peakWeek,
      peakWeekHalfWidth: halfWidth80(births.peakWeekSd),
      peakThreeDays: births.peakThreeDays,
      mostBy: isoOf(births.mostBy),
      overdue: births.overdue,
      pens,
      shortDays: pens === null ? 0 : daysShortOfPens(births.perDay, pens, PEN_DAYS),
      overlaps: SPECIES.flatMap((other) => {
        const theirs = other === species ? undefined : this.toCome(other);
        const inWeek = theirs ? birthsWithin(theirs, births.peakWeekFrom, 7) : 0;
        return inWeek >= OVERLAP_FROM ? [{ species: other, births: inWeek }] : [];
      }),
    };
  }

  list(only?: Species): BirthListView {
    const today = this.clock.today();
    const rows = (only ? [only] : SPECIES).flatMap((species) =>
      this.awaited(species).map(({ facts, chance }) => {
        const groupId = groupOn(facts, today);
        return {
          tag: tagView(facts, today),
          species,
          groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
          probability: chance.isOverTime ? null : chance.chance.probability,
          young: youngTold(facts.pregnancyTests, chance),
          sires: [
            ...chance.sires.flatMap(({ maleId }) => {
              const sire = this.book.state.animals.get(maleId);
              return sire ? [calledAs(sire, today)] : [];
            }),
            ...[otherSireOf(chance)].flatMap((other) => other ?? []),
          ],
          servedOn: isoOf(chance.spell.lastOn),
          birth: windowView(chance.window),
          isOverdue: chance.window.closes < today,
        };
      }),
    );
    return {
      on: isoOf(today),
      rows: rows.sort((a, b) =>
        a.birth.bestFrom < b.birth.bestFrom ? -1 : a.birth.bestFrom > b.birth.bestFrom ? 1 : 0,
      ),
    };
  }

  /** Females of a species that carry, or may; those just over their time too. */
  awaited(species: Species): Awaited[] {
    const today = this.clock.today();
    return this.book.state.present(today).flatMap((facts) => {
      const { record } = facts;
      if (record.species !== species || record.sex !== 'female') return [];
      const chance = this.history.chance(facts);
      return chance && chance.beforeWaiting >= AWAITED_FROM ? [{ id: record.id, facts, chance }] : [];
    });
  }
}
