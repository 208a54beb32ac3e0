import { Inject, Injectable } from '@nestjs/common';
import { planOf, type HappenedView, type PlanView, type SeasonView } from '@yaylak/contract';
import {
  groupOn,
  isFemaleOfAge,
  isMaleGrown,
  isoOf,
  isPresent,
  layOut,
  SPECIES_WORDS,
  type AnimalFacts,
  type ConditionStage,
  type Day,
  type Happened,
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

/** What was done, or born, so many days before its window or after it still belongs to it. */
const SLACK_DAYS = 15;

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
    const found = this.findFemales(plan, this.clock.today());
    byPlan.set(plan, found);
    return found;
  }

  private findFemales({ species, groupId, matingOn }: YearPlan, today: Day): AnimalFacts[] {
    const on = Math.min(matingOn, today) as Day;
    const settings = this.book.state.settings(species);
    return [...this.book.state.animals.values()].filter((f) => {
      const { species: own, sex, bornOn } = f.record;
      if (own !== species || sex !== 'female' || !isPresent(f, on) || (f.arrivedOn ?? on) > on) return false;
      if (groupId !== undefined) return groupOn(f, on) === groupId;
      return isFemaleOfAge(bornOn, settings, matingOn);
    });
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
    return spread(this.whoFor(laid, step, females).map((f) => this.doneOn(laid, step, f)));
  }

  /** Whom a step is done to: the males, the young of the season, the dams that gave birth, or the females. */
  whoFor({ plan, steps }: Laid, step: PlanStep, females: readonly AnimalFacts[]): readonly AnimalFacts[] {
    const { species, matingOn } = plan;
    if (step.kind === 'male-check') return this.malesHere(species, matingOn, SPECIES_WORDS[species].grownFromDays);
    if (step.kind !== 'weaning' && step.kind !== 'processing') return females;
    const births = steps.find((s) => s.kind === 'births' && s.litter === step.litter)?.window;
    const ofSeason = females
      .flatMap((f) => [...(this.book.state.youngByParent.get(f.record.id) ?? [])])
      .flatMap((id) => this.book.state.animals.get(id) ?? [])
      .filter(
        ({ record: { bornOn } }) =>
          bornOn !== undefined &&
          births !== undefined &&
          bornOn >= births.opens - SLACK_DAYS &&
          bornOn <= births.closes + SLACK_DAYS,
      );
    if (step.kind === 'weaning') return ofSeason;
    const dams = new Set(ofSeason.map((f) => f.record.damId));
    return females.filter((f) => dams.has(f.record.id));
  }

  /** The day a step was done on an animal, as far as the book tells: born, scored, given, sampled. */
  doneOn({ record }: Laid, step: PlanStep, facts: AnimalFacts): Day | undefined {
    const from = step.window.opens - SLACK_DAYS;
    const to = step.window.closes + SLACK_DAYS;
    const isIn = ({ on }: { readonly on: Day }): boolean => on >= from && on <= to;
    switch (step.kind) {
      case 'births':
        return this.book.state.litters.birthsOf(facts.record.id).find(isIn)?.on;
      case 'scoring':
        return facts.scores.find(isIn)?.on;
      case 'dose': {
        const productId = record.facts.doses?.[step.dose ?? -1]?.productId;
        return facts.treatments.find((g) => g.productId === productId && isIn(g))?.on;
      }
      case 'test':
        return facts.samples.find((g) => (g.purpose === 'pregnancy' || g.purpose === 'blood') && isIn(g))?.on;
      case 'count':
        return facts.pregnancyTests.find((t) => (t.way === 'scan' || t.way === 'palpation') && isIn(t))?.on;
      case 'mating':
        return facts.services.find(isIn)?.on;
      case 'male-check':
        return facts.maleChecks.find(isIn)?.on ?? facts.looks.find(isIn)?.on;
      case 'weaning':
        return facts.weanings.find((w) => w.isDone)?.on;
      case 'processing':
        return this.handledOn(facts.record.id, from, to);
      // Of these the book keeps no record of its own: they are written down as done by hand.
      case 'weaned':
      case 'flushing':
      case 'minerals':
      case 'nest':
      case 'sale':
        return undefined;
    }
  }

  /** The day the last of a dam's young of a season got its first identifier; undefined while one has none. */
  private handledOn(damId: string, from: number, to: number): Day | undefined {
    const birth = this.book.state.litters.birthsOf(damId).find((b) => b.on >= from && b.on <= to);
    const days = (birth?.youngIds ?? []).flatMap((id) => {
      const young = this.book.state.animals.get(id);
      return young && young.departures.length === 0 ? [young.identifiers[0]?.on] : [];
    });
    const known = days.filter((d) => d !== undefined);
    return known.length === 0 || known.length < days.length ? undefined : (Math.max(...known) as Day);
  }
}

/** From the first to the last of the days there are. */
function spread(days: readonly (Day | undefined)[]): Happened | undefined {
  const all = days.flatMap((d) => d ?? []).sort((a, b) => a - b);
  const [from] = all;
  const to = all.at(-1);
  return from === undefined || to === undefined ? undefined : { from, to, head: all.length };
}
