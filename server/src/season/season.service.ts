import { Inject, Injectable } from '@nestjs/common';
import { planOf, type HappenedView, type PlanView, type SeasonView } from '@yaylak/contract';
import {
  femalesOfPlan,
  happenedOn,
  isMaleGrown,
  isoOf,
  layOut,
  stepDoneOn,
  whoForStep,
  type AnimalFacts,
  type ConditionStage,
  type Day,
  type Happened,
  type PlannedContext,
  type PlanStep,
  type Species,
  type YearPlan,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { BookService } from '../book/book.service';
import { Whole } from '../book/derived';
import type { PlanRecord } from '../book/holdingState';
import { Clock } from '../common/clock';
import { HoldingService } from '../holding/holding.service';

export interface Laid {
  readonly record: PlanRecord;
  readonly plan: YearPlan;
  readonly steps: readonly PlanStep[];
}

/** The next date of a plan that condition is wanted for. */
export interface Milestone {
  readonly stage: ConditionStage;
  readonly by: Day;
  readonly plan: string;
}

/** The plans of the year against the book: whom they are for, and what came of them. */
@Injectable()
export class SeasonService {
  /** By the plan as it was laid out. */
  private readonly femalesOf: Whole<Map<YearPlan, readonly AnimalFacts[]>>;
  private readonly laidOut: Whole<readonly Laid[]>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalPageService) private readonly pages: AnimalPageService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.femalesOf = book.whole(() => new Map());
    this.laidOut = new Whole(
      () => [this.book.state.recordsVersion, this.book.state.settingsVersion],
      () => this.layAllOut(),
    );
  }

  async view(): Promise<SeasonView> {
    return {
      on: isoOf(this.clock.today()),
      plans: this.laid().map((l) => this.planView(l)),
      calendarKey: await this.holding.calendarKey(),
    };
  }

  /** All plans with their steps, the earliest mating first. */
  laid(): readonly Laid[] {
    return this.laidOut.get();
  }

  private layAllOut(): readonly Laid[] {
    return [...this.book.state.plans.values()]
      .map((record) => {
        const plan = planOf(record.facts);
        return { record, plan, steps: layOut(plan, this.book.state.settings(plan.species)).steps };
      })
      .sort((a, b) => a.plan.matingOn - b.plan.matingOn || (a.record.id < b.record.id ? -1 : 1));
  }

  planView(laid: Laid): PlanView {
    const { record, plan } = laid;
    const females = this.females(plan);
    const { matingOn } = plan;
    return {
      id: record.id,
      version: record.version,
      facts: record.facts,
      groupName: (plan.groupId && this.book.state.groups.get(plan.groupId)?.name) ?? null,
      animalIds: females.map((f) => f.record.id),
      femalesInBook: females.map((f) => {
        const last = this.book.state.litters.of(f.record.id).findLast((l) => l.bornOn < matingOn);
        return {
          bornOn: f.record.bornOn === undefined ? null : isoOf(f.record.bornOn),
          lastBirthOn: last ? isoOf(last.bornOn) : null,
        };
      }),
      males: this.males(plan.species, matingOn),
      happened: this.happenedAll(laid, females),
    };
  }

  /** Those a plan is for: the females of its group on the day of mating (of today while that is ahead), or all old enough. */
  females(plan: YearPlan): readonly AnimalFacts[] {
    const byPlan = this.femalesOf.get();
    const known = byPlan.get(plan);
    if (known) return known;
    const { state } = this.book;
    const found = femalesOfPlan(plan, state.ofSpecies(plan.species), state.settings(plan.species), this.clock.today());
    byPlan.set(plan, found);
    return found;
  }

  /** What came of each step so far, by its key. */
  private happenedAll(laid: Laid, females: readonly AnimalFacts[]): Record<string, HappenedView> {
    return Object.fromEntries(
      laid.steps.flatMap((step): [string, HappenedView][] => {
        const found = this.happened(laid, step, females);
        return found ? [[step.key, { from: isoOf(found.from), to: isoOf(found.to), head: found.head }]] : [];
      }),
    );
  }

  /** The nearest date ahead that condition is wanted for, of a plan of the species and, if given, its group. */
  milestone(species: Species, groupId: string | undefined): Milestone | undefined {
    const today = this.clock.today();
    const found = this.laid().flatMap(({ record, plan, steps }): Milestone[] => {
      if (plan.species !== species) return [];
      if (groupId !== undefined && plan.groupId !== undefined && plan.groupId !== groupId) return [];
      return steps.flatMap((s): Milestone[] => {
        const stage = s.kind === 'mating' ? 'mating' : s.kind === 'births' ? 'birth' : undefined;
        return stage && s.window.opens > today ? [{ stage, by: s.window.opens, plan: record.facts.name }] : [];
      });
    });
    return found.sort((a, b) => a.by - b.by)[0];
  }

  /** Males of a species that are here. @param minDays and at least so old on `on` */
  malesHere(species: Species, on: Day, minDays: number): AnimalFacts[] {
    return this.book.state
      .present(this.clock.today())
      .filter(
        ({ record: r }) =>
          r.species === species && r.sex === 'male' && (r.bornOn === undefined || on - r.bornOn >= minDays),
      );
  }

  private males(species: Species, on: Day): PlanView['males'] {
    const counts = { grown: 0, young: 0 };
    const settings = this.book.state.settings(species);
    for (const { record } of this.malesHere(species, on, settings.mating.maleFirstDays)) {
      if (isMaleGrown(record.bornOn, settings, on)) counts.grown++;
      else counts.young++;
    }
    return counts;
  }

  private happened(laid: Laid, step: PlanStep, females: readonly AnimalFacts[]): Happened | undefined {
    return happenedOn(this.whoFor(laid, step, females).map((f) => this.doneOn(laid, step, f)));
  }

  /** Whom a step is done to. */
  whoFor(laid: Laid, step: PlanStep, females: readonly AnimalFacts[]): readonly AnimalFacts[] {
    return whoForStep(laid, step, females, this.planned(laid.plan.species));
  }

  /** The day a step was done on an animal, as far as the book tells. */
  doneOn({ plan }: Laid, step: PlanStep, facts: AnimalFacts): Day | undefined {
    return stepDoneOn(plan, step, facts, this.planned(plan.species));
  }

  private planned(species: Species): PlannedContext {
    const { animals, litters, youngByParent } = this.book.state;
    return {
      birthsOf: (damId) => litters.birthsOf(damId),
      youngOf: (damId) => [...(youngByParent.get(damId) ?? [])].flatMap((id) => animals.get(id) ?? []),
      animal: (id) => animals.get(id),
      malesHere: (on, minDays) => this.malesHere(species, on, minDays),
    };
  }
}
