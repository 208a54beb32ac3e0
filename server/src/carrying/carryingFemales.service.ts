import { Inject, Injectable } from '@nestjs/common';
import type {
  AgeFitView,
  CarryingFemaleView,
  CarryingState,
  TestPlanView,
  TestView,
  TestWindowView,
  WhatNowView,
} from '@yaylak/contract';
import {
  addDays,
  barrenSeasons,
  bestTestDay,
  carryingStepWindow,
  groupOn,
  isoOf,
  sensitivity,
  TEST_WAYS,
  testWindow,
  toldTooSoon,
  tooSoon,
  whatNow,
  windowStage,
  type AnimalFacts,
  type Day,
  type SampleFact,
  type Species,
  type TestWay,
  type TooSoon,
  type WhatNowCosts,
  type Window,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { FemalesToMateService } from '../mating/females.service';
import { MatingHistoryService, type ChanceOf } from '../mating/history.service';
import { SeasonService } from '../season/season.service';
import { BirthsService, youngOf } from './births.service';

/** From so much on she is known or very likely to carry; under so little she is taken as empty. */
export const VERY_LIKELY = 0.9;
export const EMPTY_UNDER = 0.1;
/** Doubtful, if something was tested or seen. */
const DOUBTFUL_UNDER = 0.5;
/** Where two signs contradict each other, only what is all but certain is taken as known. */
const CONTRADICTED = { over: 0.02, under: 0.98 };
const YEAR_DAYS = 365;

/** A way of testing for one female. */
export interface TestOpen {
  readonly way: TestWay;
  readonly isUsed: boolean;
  readonly window: Window;
  readonly early: TooSoon | undefined;
  readonly isDone: boolean;
}

/** What is known of each female: how likely she carries, when she can be tested, and what to do with an empty one. */
@Injectable()
export class CarryingFemalesService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(FemalesToMateService) private readonly females: FemalesToMateService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(BirthsService) private readonly births: BirthsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(facts: AnimalFacts): CarryingFemaleView {
    const today = this.clock.today();
    const { species } = facts.record;
    const found = this.history.chance(facts);
    const groupId = groupOn(facts, today);
    const state = this.stateOf(facts, found);
    const isAwaited = found !== undefined && (found.chance.probability >= DOUBTFUL_UNDER || state === 'too-soon');
    const birth = found && isAwaited ? this.births.window(species, found.conceivedOn) : undefined;
    const since = found?.spell.on ?? today;
    const tubeOut = found && tubeOutOf(facts, found.spell.lastOn);
    const decided = facts.waysOn.findLast((w) => w.on >= since);
    return {
      tag: tagView(facts, today),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      state,
      chance: this.females.chanceView(facts),
      conceivedOn: found ? isoOf(found.conceivedOn) : null,
      young: found ? youngOf(facts.pregnancyTests, found) : null,
      tests: found ? testsSince(facts, found.spell.on) : [],
      windows: found ? this.windows(facts, found) : [],
      tubeOut: tubeOut ? { tube: tubeOut.tube, on: isoOf(tubeOut.on) } : null,
      fit: found ? this.fitView(found, facts) : null,
      birth: birth ? windowView(birth) : null,
      isOverdue: birth !== undefined && birth.closes < today,
      whatNow: state === 'empty' || state === 'doubtful' || state === 'lost' ? this.whatNow(facts, found) : null,
      decided: decided ? { on: isoOf(decided.on), decision: decided.decision, reason: decided.reason ?? null } : null,
    };
  }

  stateOf(facts: AnimalFacts, found: ChanceOf | undefined): CarryingState {
    if (!found) return 'not-served';
    const { spell, chance } = found;
    const { probability, story } = chance;
    if (story.some((s) => s.kind === 'lost')) return 'lost';
    const isTested = story.some((s) => s.kind === 'tested' && s.weight !== 1);
    const days = this.clock.today() - spell.lastOn;
    const { heatCycleDays: c } = this.book.state.settings(facts.record.species);
    if (chance.contradictions.length > 0 && probability > CONTRADICTED.over && probability < CONTRADICTED.under)
      return 'doubtful';
    if (probability >= VERY_LIKELY && isTested) return 'in-young';
    if (probability < EMPTY_UNDER) return 'empty';
    if (isTested || story.some((s) => s.kind === 'returned'))
      return probability >= DOUBTFUL_UNDER ? 'likely' : 'doubtful';
    // Without a test only a full cycle says anything.
    return days > c.to && c.mean > 0 ? 'likely' : 'too-soon';
  }

  /** Every way of testing her species, with its window for this pregnancy. */
  private tests(facts: AnimalFacts, { spell }: ChanceOf): TestOpen[] {
    const today = this.clock.today();
    const { tests } = this.book.state.settings(facts.record.species);
    // By her last service, as the book judges it: should she have taken then, an earlier test would not find it.
    const { spells, lastBirthOn } = this.history.of(facts);
    const female = { servedOn: spells.at(-1)?.lastOn ?? spell.lastOn, lastBirthOn };
    return TEST_WAYS.flatMap((way) => {
      const rules = tests[way];
      if (!rules) return [];
      return [
        {
          way,
          isUsed: rules.isUsed > 0,
          window: testWindow(rules, female),
          early: tooSoon(rules, female, today),
          isDone: facts.pregnancyTests.some((t) => t.way === way && t.on > spell.lastOn && t.result !== 'doubtful'),
        },
      ];
    });
  }

  /** Tests that could still tell something of her: not made, not over, and not asking what is known. */
  openTests(facts: AnimalFacts): TestOpen[] {
    const found = this.history.chance(facts);
    const state = this.stateOf(facts, found);
    if (!found || state === 'empty' || state === 'lost') return [];
    return this.tests(facts, found).filter(
      ({ way, isDone, window }) =>
        !isDone &&
        windowStage(window, this.clock.today()) !== 'over' &&
        // Who is known to be in young is only counted, and a tube that is out is not filled again.
        (way !== 'blood' || (state !== 'in-young' && !tubeOutOf(facts, found.spell.lastOn))),
    );
  }

  private windows(facts: AnimalFacts, found: ChanceOf): TestWindowView[] {
    return this.tests(facts, found).map(({ way, window, isDone, early }) => ({
      way,
      window: windowView(window),
      isDone,
      tooSoon: early ? toldTooSoon(early, way) : null,
    }));
  }

  /** Steps before her birth that are not done yet. */
  stepsToDo(facts: AnimalFacts): { readonly step: string; readonly window: Window }[] {
    const found = this.history.chance(facts);
    if (!found || found.chance.probability < DOUBTFUL_UNDER) return [];
    const { carryingSteps, gestationDays } = this.book.state.settings(facts.record.species);
    const birthOn = addDays(found.conceivedOn, gestationDays.mean);
    return carryingSteps.flatMap((step) =>
      facts.carryingSteps.some((d) => d.step === step.name && d.on > found.spell.on)
        ? []
        : [{ step: step.name, window: carryingStepWindow(step, birthOn) }],
    );
  }

  /** Females a way of testing can tell of now or later, who were not tested that way yet. */
  plans(species: Species, females: readonly AnimalFacts[]): TestPlanView[] {
    const today = this.clock.today();
    const { tests } = this.book.state.settings(species);
    const open = females.flatMap((facts) => this.openTests(facts).map((o) => ({ facts, ...o })));
    return TEST_WAYS.flatMap((way): TestPlanView[] => {
      const rules = tests[way];
      if (!rules) return [];
      const own = open.filter((o) => o.way === way);
      const best = bestTestDay(
        own.map((o) => o.window),
        today,
      );
      return [
        {
          way,
          isUsed: rules.isUsed > 0,
          ready: own.flatMap(({ facts, early }) => (early === undefined ? [tagView(facts, today)] : [])),
          later: own.flatMap(({ facts, early }) =>
            early === undefined ? [] : [{ tag: tagView(facts, today), tooSoon: toldTooSoon(early, way) }],
          ),
          bestDay: best ? { ...best, on: isoOf(best.on) } : null,
          of: own.length,
          priceMinor: rules.priceMinor,
        },
      ];
    });
  }

  private fitView({ fit }: ChanceOf, facts: AnimalFacts): AgeFitView | null {
    const scan = facts.pregnancyTests.findLast((t) => t.way === 'scan' && t.ageDays !== undefined);
    if (!fit || scan?.ageDays === undefined) return null;
    const today = this.clock.today();
    const spells = this.history.of(facts).spells;
    const { lastBirthOn } = this.history.of(facts);
    const open = spells.filter((s) => lastBirthOn === undefined || s.on > lastBirthOn);
    const base = { scannedOn: isoOf(scan.on), ageDays: scan.ageDays, conceivedOn: isoOf(fit.conceivedOn) };
    if (fit.kind === 'none-fits') return { ...base, servedOn: null, daysOff: fit.nearestDaysOff ?? null, sires: [] };
    const served = open[fit.nearest];
    return {
      ...base,
      servedOn: served ? isoOf(served.lastOn) : null,
      daysOff: fit.daysOff,
      sires: fit.sires.flatMap(({ maleId, probability }) => {
        const male = this.book.state.animals.get(maleId);
        return male ? [{ tag: tagView(male, today), probability }] : [];
      }),
    };
  }

  /** The ways on for one that is empty or doubtful, from the holding's own figures. */
  whatNow(facts: AnimalFacts, found: ChanceOf | undefined): WhatNowView {
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
    const wait = (tests.scan ?? tests.palpation)?.days.bestFrom ?? 45;
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
  private serveUntil(species: Species, found: ChanceOf | undefined): Day | undefined {
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
  private nextTest(facts: AnimalFacts, found: ChanceOf | undefined) {
    const today = this.clock.today();
    const { tests } = this.book.state.settings(facts.record.species);
    const { lastBirthOn } = this.history.of(facts);
    return TEST_WAYS.flatMap((way: TestWay) => {
      const rules = tests[way];
      if (!rules || !found) return [];
      const window = testWindow(rules, { servedOn: found.spell.lastOn, lastBirthOn });
      return window.closes < today ? [] : [{ way, rules, from: Math.max(today, window.opens) as Day }];
    }).sort((a, b) => b.rules.isUsed - a.rules.isUsed || a.from - b.from)[0];
  }
}

/** Her blood that is out at a laboratory since a service. */
const tubeOutOf = ({ samples, pregnancyTests }: AnimalFacts, since: Day): SampleFact | undefined =>
  samples.findLast(
    (s) => s.purpose === 'pregnancy' && s.on > since && !pregnancyTests.some((t) => t.sampleId === s.entryId),
  );

const testsSince = (facts: AnimalFacts, since: Day): TestView[] =>
  facts.pregnancyTests.flatMap(({ on, way, result, young, ageDays, findings }) =>
    on > since ? [{ on: isoOf(on), way, result, young: young ?? null, ageDays: ageDays ?? null, findings }] : [],
  );
