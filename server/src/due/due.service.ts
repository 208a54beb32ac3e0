import { Inject, Injectable } from '@nestjs/common';
import type { DueWork } from '@yaylak/contract';
import {
  dueAfterBirth,
  dueBeforeBirth,
  dueByPlan,
  dueOfLitters,
  dueOfMarks,
  dueScorings,
  dueTests,
  dueWeanings,
  dueWeighings,
  isByLitter,
  isOpenStay,
  isPresent,
  joinDue,
  SPECIES,
  type AnimalFacts,
  type CarryingDueContext,
  type Day,
  type DueRow,
  type LitterToDo,
  type RhythmContext,
  type Species,
} from '@yaylak/core';
import { WeighingsService } from '../animals/weighings.service';
import { GivenService } from '../births/given.service';
import { BookService } from '../book/book.service';
import { CarryingFemalesService } from '../carrying/carryingFemales.service';
import { Clock } from '../common/clock';
import { MatingHistoryService } from '../mating/history.service';
import { LittersService } from '../rearing/litters.service';
import { RemediesService } from '../remedies/remedies.service';
import { SeasonService } from '../season/season.service';
import { dueView } from './dueView';

/** All work that is due, from the rhythms, the remedies, the plans, the births and the males that run. */
@Injectable()
export class DueService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(RemediesService) private readonly remedies: RemediesService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(CarryingFemalesService) private readonly carrying: CarryingFemalesService,
    @Inject(LittersService) private readonly litters: LittersService,
    @Inject(GivenService) private readonly given: GivenService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(WeighingsService) private readonly weighings: WeighingsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Open work and what opens this week, put together where one job does for it, soonest to close first. */
  list(): DueWork[] {
    const { state } = this.book;
    const today = this.clock.today();
    const present = state.present(today);
    const rhythm = this.rhythm(today);
    const carrying: CarryingDueContext = {
      today,
      openTests: (facts) => this.carrying.openTests(facts),
      stepsToDo: (facts) => this.carrying.stepsToDo(facts),
    };
    // In order of importance: of two that are put together the first leads.
    const rows = [
      ...this.ofPlans(today),
      ...dueWeighings(present, rhythm),
      ...dueScorings(present, rhythm),
      ...this.remedies.dueRows(),
      ...dueTests(present, carrying),
      ...dueBeforeBirth(present, carrying),
      ...this.ofYoung(today),
      ...dueOfMarks(present, {
        today,
        settings: (species) => state.settings(species),
        openStays: (male) => male.stays.filter((stay) => isOpenStay(male, stay.entryId, today)),
        isMarkJob: (jobId) => state.jobs.get(jobId)?.includes('raddle') ?? false,
      }),
    ];
    return joinDue(rows).map((due) => dueView(due, state, today));
  }

  private ofPlans(today: Day): DueRow[] {
    return this.season.laid().flatMap((laid) => {
      const { record, plan, steps } = laid;
      const females = this.season.females(plan).filter((f) => isPresent(f, today));
      return dueByPlan(
        {
          id: record.id,
          plan,
          steps,
          females,
          settings: this.book.state.settings(plan.species),
          isServed: (facts) => this.history.chance(facts) !== undefined,
          whoFor: (step) => this.season.whoFor(laid, step, females),
          doneOn: (step, facts) => this.season.doneOn(laid, step, facts),
        },
        today,
      );
    });
  }

  private rhythm(today: Day): RhythmContext {
    const { state } = this.book;
    const planned = new Map<string, Day[]>();
    for (const { plan, steps } of this.season.laid()) {
      const rounds = steps.flatMap((s) => (s.kind === 'scoring' ? [s.window.bestFrom] : []));
      for (const { record } of this.season.females(plan))
        planned.set(record.id, [...(planned.get(record.id) ?? []), ...rounds]);
    }
    return {
      today,
      settings: (species) => state.settings(species),
      weighings: (facts) => this.weighings.of(facts),
      plannedScorings: ({ record }) => planned.get(record.id) ?? [],
    };
  }

  /** First handling, the next pen, weighing day by day, weaning. */
  private ofYoung(today: Day): DueRow[] {
    const births = this.given.births(SPECIES).map(({ facts, birth }) => ({
      facts,
      birth,
      handling: this.given.toHandle(birth, facts.record.species)?.window,
      next: this.given.stage(facts, birth)?.next,
    }));
    const weanedAs = SPECIES.map((species) => ({
      litters: this.littersOf(species),
      isByLitter: isByLitter(this.book.state.settings(species)),
    }));
    return [
      ...dueAfterBirth(births, today),
      ...dueWeanings(
        weanedAs.flatMap((w) => (w.isByLitter ? [] : w.litters)),
        today,
      ),
      ...weanedAs.flatMap((w) => dueOfLitters(w.litters, w.isByLitter, today)),
    ];
  }

  private littersOf(species: Species): LitterToDo[] {
    const { animals } = this.book.state;
    return this.litters.withDams(species).map((litter) => ({
      species,
      dam: litter.dam,
      bornOn: litter.bornOn,
      young: litter.young.flatMap((y) => animals.get(y.id) ?? []),
      weigh: this.litters.toWeigh(litter, this.litters.now(litter)),
      plans: this.litters.plans(litter).flatMap((plan) => {
        const facts: AnimalFacts | undefined = animals.get(plan.id);
        return facts ? [{ ...plan, facts }] : [];
      }),
    }));
  }
}
