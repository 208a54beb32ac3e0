import { Inject, Injectable } from '@nestjs/common';
import type {
  AgeFitView,
  CarryingFemaleView,
  CarryingState,
  TestPlanView,
  TestView,
  TestWindowView,
} from '@yaylak/contract';
import {
  addDays,
  bestTestDay,
  CARRYING_FROM,
  carryingState,
  carryingStepWindow,
  groupOn,
  isoOf,
  TEST_WAYS,
  testWindow,
  toldTooSoon,
  tooSoon,
  unmarkedOf,
  windowStage,
  youngTold,
  type AnimalFacts,
  type CarryingNow,
  type Day,
  type RanUnmarked,
  type SampleFact,
  type Species,
  type TestWay,
  type TooSoon,
  type Window,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { FemalesToMateService } from '../mating/females.service';
import { MatingHistoryService } from '../mating/history.service';
import { WhatNowService } from './whatNow.service';

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
    @Inject(WhatNowService) private readonly waysOn: WhatNowService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(facts: AnimalFacts): CarryingFemaleView {
    const today = this.clock.today();
    const found = this.history.chance(facts);
    const groupId = groupOn(facts, today);
    const state = this.stateOf(facts, found);
    const isAwaited = found !== undefined && (found.beforeWaiting >= CARRYING_FROM || state === 'too-soon');
    const unanswered = this.history.unanswered(facts);
    const birth = found && isAwaited ? found.window : unanswered?.window;
    const since = found?.spell.on ?? today;
    const tubeOut = found && tubeOutOf(facts, found.spell.lastOn);
    const decided = facts.waysOn.findLast((w) => w.on >= since);
    return {
      tag: tagView(facts, today),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      state,
      chance: this.females.chanceView(facts),
      conceivedOn: found ? isoOf(found.conceivedOn) : null,
      young: found ? youngTold(facts.pregnancyTests, found) : null,
      tests: found ? testsSince(facts, found.spell.on) : [],
      windows: found ? this.windows(facts, found) : [],
      tubeOut: tubeOut ? { tube: tubeOut.tube, on: isoOf(tubeOut.on) } : null,
      fit: found ? this.fitView(found, facts) : null,
      birth: birth ? windowView(birth) : null,
      isOverdue: birth !== undefined && birth.closes < today,
      whatNow: state === 'empty' || state === 'doubtful' || state === 'lost' ? this.waysOn.view(facts, found) : null,
      decided: decided ? { on: isoOf(decided.on), decision: decided.decision, reason: decided.reason ?? null } : null,
    };
  }

  stateOf(facts: AnimalFacts, found: CarryingNow | undefined): CarryingState {
    return carryingState(found, {
      unanswered: this.history.unanswered(facts),
      unmarked: this.unmarked(facts),
      settings: this.book.state.settings(facts.record.species),
      today: this.clock.today(),
    });
  }

  /** Her stretch with a male that marks, where she wears no mark; see `unmarkedOf`. */
  unmarked(facts: AnimalFacts): RanUnmarked | undefined {
    return unmarkedOf(this.history.of(facts));
  }

  /** Every way of testing her species, with its window for a pregnancy from a day of service on. */
  private tests(facts: AnimalFacts, servedOn: Day): TestOpen[] {
    const today = this.clock.today();
    const { tests } = this.book.state.settings(facts.record.species);
    // By her last service, as the book judges it: should she have taken then, an earlier test would not find it.
    const { spells, lastBirthOn } = this.history.of(facts);
    const female = { servedOn: Math.max(spells.at(-1)?.lastOn ?? servedOn, servedOn) as Day, lastBirthOn };
    return TEST_WAYS.flatMap((way) => {
      const rules = tests[way];
      if (!rules) return [];
      return [
        {
          way,
          isUsed: rules.isUsed,
          window: testWindow(rules, female),
          early: tooSoon(rules, female, today),
          isDone: facts.pregnancyTests.some((t) => t.way === way && t.on > servedOn && t.result !== 'doubtful'),
        },
      ];
    });
  }

  /** Tests that could still tell something of her: not made, not over, and not asking what is known. */
  openTests(facts: AnimalFacts): TestOpen[] {
    const found = this.history.chance(facts);
    const state = this.stateOf(facts, found);
    if (!found) return this.scansOfUnmarked(facts);
    if (state === 'empty' || state === 'lost') return [];
    return this.tests(facts, found.spell.lastOn).filter(
      ({ way, isDone, window }) =>
        !isDone &&
        windowStage(window, this.clock.today()) !== 'over' &&
        // Who is known to be in young is only counted, and a tube that is out is not filled again.
        (way !== 'blood' || (state !== 'in-young' && !tubeOutOf(facts, found.spell.lastOn))),
    );
  }

  /** A mark may have been missed: from its first day on a scan may find young nobody knows of. */
  private scansOfUnmarked(facts: AnimalFacts): TestOpen[] {
    const unmarked = this.unmarked(facts);
    return unmarked ? this.tests(facts, unmarked.from).filter((t) => t.way !== 'blood' && !t.isDone) : [];
  }

  private windows(facts: AnimalFacts, found: CarryingNow): TestWindowView[] {
    return this.tests(facts, found.spell.lastOn).map(({ way, window, isDone, early }) => ({
      way,
      window: windowView(window),
      isDone,
      tooSoon: early ? toldTooSoon(early, way) : null,
    }));
  }

  /** Steps before her birth that are not done yet. */
  stepsToDo(facts: AnimalFacts): { readonly step: string; readonly window: Window }[] {
    const found = this.history.chance(facts);
    if (!found || found.beforeWaiting < CARRYING_FROM) return [];
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
          isUsed: rules.isUsed,
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

  private fitView({ fit }: CarryingNow, facts: AnimalFacts): AgeFitView | null {
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
