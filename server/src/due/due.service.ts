import { Inject, Injectable } from '@nestjs/common';
import { EVIDENCE_WAY_WORDS, SHIPPED_TEMPLATES, stepName, usualScoring, whoText, type DueWork } from '@yaylak/contract';
import {
  groupOn,
  isByLitter,
  isoOf,
  isPresent,
  nextScoring,
  nextWeighing,
  SPECIES_WORDS,
  windowStage,
  type AnimalFacts,
  type Day,
  type PlanStep,
  type TestWay,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { CarryingFemalesService } from '../carrying/carryingFemales.service';
import { Clock } from '../common/clock';
import { windowView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { RemediesService } from '../remedies/remedies.service';
import { SeasonService, type Laid } from '../season/season.service';
import { AHEAD_DAYS, batches, counted, rowOf, type Batch, type Due } from './batches';
import { mergeDue } from './merge';
import { MarksDueService } from './marks.service';
import { YoungDueService } from './young.service';

/** A step of a plan nobody did is asked after for so long past its close. */
const LATE_DAYS = 14;
/** A round of the plan and one of the rhythm closer than this are one. */
const SAME_ROUND_DAYS = 45;
/** Steps of a plan that go by each female's own service once it is known. */
const TOLD_BY_SERVICES: readonly string[] = ['test', 'count', 'nest'];
const TEST_VERBS: Readonly<Record<TestWay, string>> = { blood: 'Take blood of', scan: 'Scan', palpation: 'Feel' };

/** All work that is due, from the rhythms, the remedies and the plans. */
@Injectable()
export class DueService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(RemediesService) private readonly remedies: RemediesService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(CarryingFemalesService) private readonly carrying: CarryingFemalesService,
    @Inject(YoungDueService) private readonly young: YoungDueService,
    @Inject(MarksDueService) private readonly marks: MarksDueService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Open work and what opens this week, put together where one job does for it, soonest to close first. */
  list(): DueWork[] {
    const today = this.clock.today();
    const present = this.book.state.present(today);
    const all = [
      ...this.steps(today),
      ...this.weighings(present, today),
      ...this.scorings(present, today),
      ...this.doses(today),
      ...this.tests(present, today),
      ...this.beforeBirth(present, today),
      ...this.young.list(today),
      ...this.marks.list(present, today),
    ];
    return mergeDue(all).sort((a, b) =>
      a.window.closes < b.window.closes ? -1 : a.window.closes > b.window.closes ? 1 : a.key < b.key ? -1 : 1,
    );
  }

  private weighings(present: readonly AnimalFacts[], today: Day): DueWork[] {
    const due = present.flatMap((facts) => {
      const { bornOn, species } = facts.record;
      if (bornOn === undefined) return [];
      // One of a litter that wears nothing yet cannot be called at the race: it is weighed with its litter.
      if (facts.identifiers.length === 0 && isByLitter(this.book.state.settings(species))) return [];
      const next = nextWeighing(
        bornOn,
        this.book.state.daily(facts),
        this.book.state.settings(species).weighing,
        today,
      );
      return next ? [{ facts, what: next.step, window: next.window }] : [];
    });
    return this.batched(due, today).map((batch) => ({
      ...rowOf(batch),
      key: `weigh ${batch.key}`,
      does: ['Weigh'],
      why: [batch.what],
      job: {
        name: `${whoText(batch.who)}, ${batch.what.toLowerCase()}`,
        stations: ['weigh'],
        settings: { weigh: { method: 'scale' } },
        gates: [],
      },
      steps: [],
    }));
  }

  /** By the usual rhythm, of those no plan has a round for. */
  private scorings(present: readonly AnimalFacts[], today: Day): DueWork[] {
    const planned = new Map<string, Day[]>();
    for (const { plan, steps } of this.season.laid())
      for (const { record } of this.season.females(plan))
        planned.set(record.id, [
          ...(planned.get(record.id) ?? []),
          ...steps.flatMap((s) => (s.kind === 'scoring' ? [s.window.bestFrom] : [])),
        ]);
    const due = present.flatMap((facts) => {
      const { id, bornOn, species, sex } = facts.record;
      if (sex !== 'female') return [];
      const window = nextScoring(
        bornOn,
        facts.scores.at(-1)?.on,
        this.book.state.settings(species).scoring,
        today,
        facts.arrivedOn,
      );
      if (!window) return [];
      const isPlanned = planned
        .get(id)
        ?.some((on) => Math.abs(on - Math.max(today, window.bestFrom)) <= SAME_ROUND_DAYS);
      return isPlanned ? [] : [{ facts, what: 'usual scoring', window }];
    });
    return this.batched(due, today).map((batch) => ({
      ...rowOf(batch),
      key: `score ${batch.key}`,
      does: ['Score'],
      why: [batch.what],
      job: {
        name: `${whoText(batch.who)}, scoring`,
        stations: ['score'],
        settings: { score: usualScoring('carrying') },
        gates: [],
      },
      steps: [],
    }));
  }

  /** Tests for young of those that were served, by the ways that are used here. */
  private tests(present: readonly AnimalFacts[], today: Day): DueWork[] {
    const due = this.served(present).flatMap((facts) =>
      this.carrying.openTests(facts).flatMap((t) =>
        // Those it can tell of today come through by themselves; the others are a row of their own.
        t.isUsed ? [{ facts, what: { way: t.way, isLater: t.early !== undefined }, window: t.window }] : [],
      ),
    );
    return this.batched(due, today, ({ way, isLater }) => `${way} ${isLater}`).map((batch) => {
      const { way } = batch.what;
      const name = `${whoText(batch.who)}, ${EVIDENCE_WAY_WORDS[way]}`;
      return {
        ...rowOf(batch),
        key: `test ${batch.key}`,
        does: [TEST_VERBS[way]],
        why: [`${EVIDENCE_WAY_WORDS[way]} of those served`],
        job:
          way === 'blood'
            ? {
                name,
                stations: ['sample'],
                settings: { sample: { purpose: 'pregnancy', firstTube: 'B-001' } },
                gates: [],
              }
            : { name, stations: ['scan'], settings: { scan: { way } }, gates: [] },
        steps: [],
      };
    });
  }

  /** Steps before the births, as the holding does them. */
  private beforeBirth(present: readonly AnimalFacts[], today: Day): DueWork[] {
    const due = this.served(present).flatMap((facts) =>
      this.carrying
        .stepsToDo(facts)
        .flatMap(({ step, window }) => (window.closes >= today - LATE_DAYS ? [{ facts, what: step, window }] : [])),
    );
    return this.batched(due, today).map((batch) => ({
      ...rowOf(batch),
      key: `before birth ${batch.key}`,
      does: [`${batch.what}:`],
      why: [`before ${batch.species ? SPECIES_WORDS[batch.species].birth : 'the birth'}`],
      job: null,
      steps: [],
      writes: { type: 'carrying-step', step: batch.what },
    }));
  }

  private batched<What>(due: readonly Due<What>[], today: Day, same?: (what: What) => string): Batch<What>[] {
    return batches(this.book.state, due, today, same);
  }

  private served(present: readonly AnimalFacts[]): AnimalFacts[] {
    return present.filter((f) => f.record.sex === 'female' && f.services.length > 0);
  }

  private doses(today: Day): DueWork[] {
    return this.remedies.due().flatMap((d): DueWork[] => {
      if (d.window.opens > isoOf((today + AHEAD_DAYS) as Day)) return [];
      const first = this.book.state.animals.get(d.animalIds[0] ?? '');
      const groupId = first && groupOn(first, today);
      return [
        {
          key: `give ${d.key}`,
          does: [`Give ${d.product} to`],
          who: { count: d.animalIds.length, words: ['animal', 'animals'] },
          why: [`${d.nth === null ? 'yearly plan' : `dose ${d.nth}`}${d.done > 0 ? `, ${d.done} done` : ''}`],
          group: groupId === undefined || d.groupName === null ? null : { id: groupId, name: d.groupName },
          species: first?.record.species ?? null,
          animalIds: d.animalIds,
          window: d.window,
          isOpen: d.isOpen,
          job: {
            name: `${d.product}${d.groupName ? `, ${d.groupName}` : ''}`,
            stations: ['treat'],
            settings: { treat: { productIds: [d.productId] } },
            gates: [],
          },
          steps: [],
        },
      ];
    });
  }

  /** Steps of the plans that are open, open soon, or were missed of late. */
  private steps(today: Day): DueWork[] {
    return this.season.laid().flatMap((laid) => {
      const near = laid.steps.filter(
        (s) =>
          s.window.opens <= today + AHEAD_DAYS &&
          s.window.closes >= today - LATE_DAYS &&
          !(s.key in laid.plan.done) &&
          // Births are no work that is started: they come.
          s.kind !== 'births' &&
          (s.kind !== 'weaning' || !isByLitter(this.book.state.settings(laid.plan.species))),
      );
      if (near.length === 0) return [];
      const females = this.season.females(laid.plan).filter((f) => isPresent(f, today));
      // Once they are served, each has her own windows, and the plan's are no news.
      const isServed = females.some((f) => this.history.chance(f) !== undefined);
      const own = isServed ? near.filter((s) => !TOLD_BY_SERVICES.includes(s.kind)) : near;
      return own.flatMap((step) => this.stepWork(laid, step, females, today));
    });
  }

  /** A step as work on those it was not done to yet; nothing when none is left. */
  private stepWork(laid: Laid, step: PlanStep, females: readonly AnimalFacts[], today: Day): DueWork[] {
    const { record, plan } = laid;
    const group = plan.groupId === undefined ? undefined : this.book.state.groups.get(plan.groupId);
    const all = this.season.whoFor(laid, step, females).filter((f) => isPresent(f, today));
    // Who of the young is weaned goes by each, as under Rearing.
    if (step.kind === 'weaning' && all.length > 0) return [];
    const animals = all.filter((f) => this.season.doneOn(laid, step, f) === undefined);
    if (all.length > 0 && animals.length === 0) return [];
    const done = all.length - animals.length;
    const name = stepName(step, record.facts);
    const product = record.facts.doses?.[step.dose ?? -1]?.productId;
    const isScanned = this.book.state.settings(plan.species).tests.scan !== undefined;
    const job =
      animals.length === 0
        ? null
        : jobOf(step, { name: `${record.facts.name}: ${name.toLowerCase()}`, productId: product, isScanned });
    return [
      {
        key: `${record.id} ${step.key}`,
        does: [verbOf(step, name, { isJob: job !== null, isScanned })],
        who: animals[0] && job ? counted(animals[0], animals.length, today) : null,
        why: [
          `${record.facts.name}: ${name.charAt(0).toLowerCase()}${name.slice(1)}${done > 0 ? `, ${done} done` : ''}`,
        ],
        group: group ? { id: group.id, name: group.name } : null,
        species: plan.species,
        animalIds: animals.map((f) => f.record.id),
        window: windowView(step.window),
        isOpen: windowStage(step.window, today) !== 'early',
        job,
        steps: [{ planId: record.id, key: step.key }],
      },
    ];
  }
}

/** What the race does for a step; nothing where it is no work at the race. */
function jobOf(
  { kind, stage }: PlanStep,
  {
    name,
    productId,
    isScanned,
  }: { readonly name: string; readonly productId: string | undefined; readonly isScanned: boolean },
): DueWork['job'] {
  const job = (
    stations: NonNullable<DueWork['job']>['stations'],
    settings: NonNullable<DueWork['job']>['settings'],
  ) => ({
    name,
    stations,
    settings,
    gates: [],
  });
  if (kind === 'scoring') return job(['score'], { score: usualScoring(stage ?? 'mating') });
  if (kind === 'dose' && productId !== undefined) return job(['treat'], { treat: { productIds: [productId] } });
  if (kind === 'test') return job(['sample'], { sample: { purpose: 'pregnancy', firstTube: 'B-001' } });
  if (kind === 'count') return job(['scan'], { scan: { way: isScanned ? 'scan' : 'palpation' } });
  if (kind === 'male-check') return job(['score', 'look'], { score: { ...usualScoring('mating'), sprays: [] } });
  if (kind === 'weaning') return job(['weigh'], { weigh: { method: 'scale' } });
  const newborn = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn');
  return kind === 'processing' && newborn ? job(newborn.stations, newborn.settings) : null;
}

/** A step as a verb before whom it is done to, where it is a job; else by its name. */
function verbOf(
  { kind }: PlanStep,
  name: string,
  { isJob, isScanned }: { readonly isJob: boolean; readonly isScanned: boolean },
): string {
  if (!isJob) return name;
  if (kind === 'scoring') return 'Score';
  if (kind === 'dose') return `Give ${name} to`;
  if (kind === 'test') return 'Take blood of';
  if (kind === 'count') return isScanned ? 'Scan' : 'Feel';
  return kind === 'weaning' ? 'Wean' : kind === 'male-check' ? 'Check' : name;
}
