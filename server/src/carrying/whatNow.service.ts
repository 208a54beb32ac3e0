import { Inject, Injectable } from '@nestjs/common';
import type { WhatNowView } from '@yaylak/contract';
import {
  addDays,
  barrenSeasons,
  countingDays,
  isoOf,
  sensitivity,
  TEST_WAYS,
  testWindow,
  whatNow,
  type AnimalFacts,
  type CarryingNow,
  type Day,
  type Species,
  type TestWay,
  type WhatNowCosts,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { MatingHistoryService } from '../mating/history.service';
import { SeasonService } from '../season/season.service';

const YEAR_DAYS = 365;
/** Where no way of counting is set up. */
const USUAL_COUNT_DAYS = 45;

/** Sell, keep, test again or serve again: what each costs for a female that is empty or doubtful. */
@Injectable()
export class WhatNowService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** The ways on for one that is empty or doubtful, from the holding's own figures. */
  view(facts: AnimalFacts, found: CarryingNow | undefined): WhatNowView {
    const today = this.clock.today();
    const { species } = facts.record;
    const settings = this.book.state.settings(species);
    const { carrying } = settings;
    const q = found?.chance.probability ?? 0;
    const keepDays = Math.max(1, this.nextResultOn(species) - today);
    const test = this.nextTest(facts, found);
    const serveUntil = this.serveUntil(species, found);
    const takes = this.history.takingShare(species);
    const costs: WhatNowCosts = {
      keep: keepDays * carrying.keepPerDayMinor,
      lostIfSold: carrying.lostIfSoldMinor,
      // Nothing is left to be found out of one that lost it.
      test: test && q > 0 ? { ...test.rules, price: test.rules.priceMinor } : undefined,
      serve:
        serveUntil === undefined
          ? undefined
          : { price: carrying.serveAgainMinor, takes, lateYoung: carrying.lateYoungMinor },
    };
    const { ways, breakEven } = whatNow(q, costs);
    return {
      ways: ways.map(({ way, cost }) => ({ way, costMinor: Math.round(cost) })),
      breakEven: breakEven ?? null,
      sensitivity: sensitivity(q, costs),
      keepDays,
      keepPerDayMinor: carrying.keepPerDayMinor,
      lostIfSoldMinor: carrying.lostIfSoldMinor,
      test: test && q > 0 ? { way: test.way, priceMinor: test.rules.priceMinor, from: isoOf(test.from) } : null,
      serveUntil: serveUntil === undefined ? null : isoOf(serveUntil),
      takes,
      chancesUsed: barrenSeasons(this.history.of(facts).spells, settings),
      chances: carrying.secondChances,
    };
  }

  /** When the next mating of the species shows who took: of the plan that comes next, else a year on. */
  private nextResultOn(species: Species): Day {
    const today = this.clock.today();
    const { tests, gestationDays, heatCycleDays } = this.book.state.settings(species);
    const wait = countingDays(tests)?.bestFrom ?? USUAL_COUNT_DAYS;
    const starts = this.season
      .laid()
      .flatMap(({ plan, steps }) =>
        plan.species === species ? steps.flatMap((s) => (s.kind === 'mating' ? [s.window.opens] : [])) : [],
      )
      .filter((on) => on > addDays(today, heatCycleDays.to));
    const usual = heatCycleDays.mean === 0 ? addDays(today, gestationDays.mean) : addDays(today, YEAR_DAYS);
    return addDays((starts.length > 0 ? Math.min(...starts) : usual) as Day, wait);
  }

  /** Until when one may still be served: to the end of the planned mating, or three cycles from the first service. */
  private serveUntil(species: Species, found: CarryingNow | undefined): Day | undefined {
    const today = this.clock.today();
    const { heatCycleDays: c } = this.book.state.settings(species);
    if (c.mean === 0) return addDays(today, 7);
    const planned = this.season
      .laid()
      .flatMap(({ plan, steps }) =>
        plan.species === species ? steps.flatMap((s) => (s.kind === 'mating' ? [s.window] : [])) : [],
      )
      .filter((w) => w.closes >= today && w.opens <= addDays(today, c.to));
    const [first] = planned;
    if (first) return first.closes;
    const until = found && addDays(found.spell.on, 4 * c.mean);
    return until !== undefined && until >= today ? until : undefined;
  }

  /** The next way she can be tested: one that is used here before one that is not. */
  private nextTest(facts: AnimalFacts, found: CarryingNow | undefined) {
    const today = this.clock.today();
    const { tests } = this.book.state.settings(facts.record.species);
    const { lastBirthOn } = this.history.of(facts);
    return TEST_WAYS.flatMap((way: TestWay) => {
      const rules = tests[way];
      if (!rules || !found) return [];
      const window = testWindow(rules, { servedOn: found.spell.lastOn, lastBirthOn });
      return window.closes < today ? [] : [{ way, rules, from: Math.max(today, window.opens) as Day }];
    }).sort((a, b) => Number(b.rules.isUsed) - Number(a.rules.isUsed) || a.from - b.from)[0];
  }
}
