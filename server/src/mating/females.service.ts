import { Inject, Injectable } from '@nestjs/common';
import {
  otherSireText,
  femaleReasonText,
  type ChanceView,
  type FemaleToMateView,
  type HeatView,
  type ReasonView,
  type ServedView,
  type SignView,
  type TagView,
} from '@yaylak/contract';
import {
  addDays,
  dayOfMoment,
  earliestOpens,
  groupOn,
  holdsBack,
  isoMoment,
  isoOf,
  nextHeats,
  readyToMate,
  serviceTiming,
  serviceWindow,
  type AnimalFacts,
  type Day,
  type CarryingSign,
  type Heat,
  type Moment,
  type Readiness,
  type FemaleReason,
  type WindowOf,
  type WeightUnit,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Derived } from '../book/derived';
import { Clock } from '../common/clock';
import { otherSireOf, tagView, windowView } from '../common/views';
import { MatingHistoryService } from './history.service';

/** A heat is shown until so long after its window closed, that a late service is still judged. */
const SHOWN_DAYS = 3;

/** Each female's readiness, heats and services. */
@Injectable()
export class FemalesToMateService {
  /** It takes a growth curve, so it is kept. */
  private readonly readinesses: Derived<Readiness<FemaleReason>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.readinesses = book.derived(
      (facts) => {
        const { state } = this.book;
        const { id, species } = facts.record;
        return readyToMate(facts, {
          history: this.history.of(facts),
          births: state.litters.birthsOf(id),
          daily: state.daily(facts),
          scores: state.scores(facts),
          prior: this.history.takingShare(species),
          settings: state.settings(species),
          today: this.clock.today(),
          now: this.clock.moment(),
        });
      },
      (facts) => history.takingShare(facts.record.species),
    );
  }

  view(facts: AnimalFacts): FemaleToMateView {
    const today = this.clock.today();
    const { species } = facts.record;
    const { heats } = this.history.of(facts);
    const last = heats.at(-1);
    const lastHeatOn = last && dayOfMoment(last.seenAt);
    const readiness = this.readiness(facts);
    const chance = this.chanceView(facts);
    const groupId = groupOn(facts, today);
    const isCarrying = readiness.reasons.some((r) => r.code === 'carrying');
    const next =
      lastHeatOn === undefined || isCarrying
        ? undefined
        : nextHeats(lastHeatOn, this.book.state.settings(species), 12).find((w) => w.closes >= today);
    return {
      tag: tagView(facts, today),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      isReady: readiness.isReady,
      readyOn: readiness.readyOn === undefined ? null : isoOf(readiness.readyOn),
      reasons: readiness.reasons.map((r) => reasonView(r, this.book.state.unit)),
      lastHeatOn: lastHeatOn === undefined ? null : isoOf(lastHeatOn),
      nextHeat: next ? windowView(next) : null,
      chance,
      // Who was taken out today ran with her today, and does no more.
      runsWith: this.history.runningWith(facts, addDays(today, 1)).flatMap((id) => this.tags(id)),
    };
  }

  /** Whether she is not to be served without a reason. */
  isHeldBack(facts: AnimalFacts): boolean {
    return this.readiness(facts).reasons.some(holdsBack);
  }

  /** Whether she may be mated today. */
  readiness(facts: AnimalFacts): Readiness<FemaleReason> {
    return this.readinesses.of(facts);
  }

  /** The heat she is on, or was on so lately that a service is still judged by it. */
  heat(facts: AnimalFacts): HeatView | undefined {
    const today = this.clock.today();
    const history = this.history.of(facts);
    const heat = history.heats.at(-1);
    if (!heat) return undefined;
    const window = serviceWindow(heat.seenAt, this.book.state.settings(facts.record.species));
    const until = window ? dayOfMoment(window.closes) : dayOfMoment(heat.lastSeenAt);
    if (addDays(until, SHOWN_DAYS) < today) return undefined;
    const earliest = earliestOpens(heat, this.book.state.settings(facts.record.species));
    const seenOn = dayOfMoment(heat.seenAt);
    const returned = history.spells.find((s) => s.outcome.kind === 'returned' && s.outcome.on === seenOn);
    return {
      tag: tagView(facts, today),
      seenAt: isoMoment(heat.seenAt),
      notYetAt: heat.notYetAt === undefined ? null : isoMoment(heat.notYetAt),
      isStanding: heat.isStanding,
      signs: heat.signs,
      window: window ? hourWindow(window) : null,
      opensEarliest: earliest === undefined ? null : isoMoment(earliest),
      services: this.servicesOf(facts, heat, window, until),
      returnAfterDays: returned?.outcome.kind === 'returned' ? returned.outcome.days : null,
    };
  }

  private servicesOf(facts: AnimalFacts, heat: Heat, window: WindowOf<Moment> | undefined, until: Day): ServedView[] {
    const from = dayOfMoment(heat.seenAt) - 1;
    return facts.services
      .filter((s) => s.on >= from && s.on <= addDays(until, SHOWN_DAYS))
      .map((s) => this.servedView(s, window, earliestOpens(heat, this.book.state.settings(facts.record.species))));
  }

  private servedView(
    s: AnimalFacts['services'][number],
    window: WindowOf<Moment> | undefined,
    earliest: Moment | undefined,
  ): ServedView {
    return {
      entryId: s.entryId,
      at: s.at === undefined ? null : isoMoment(s.at),
      on: isoOf(s.on),
      way: s.way,
      males: s.maleIds.flatMap((id) => this.tags(id)),
      otherSire: otherSireText(s) ?? null,
      timing: window && s.at !== undefined ? serviceTiming(window, s.at, earliest) : null,
    };
  }

  /** How likely she carries and how that is known; null where she is not served. */
  chanceView(facts: AnimalFacts): ChanceView | null {
    const found = this.history.chance(facts);
    if (!found) return null;
    const { spell, chance } = found;
    const settings = this.book.state.settings(facts.record.species);
    const [returns] = nextHeats(spell.lastOn, settings, 1);
    return {
      servedOn: isoOf(spell.on),
      males: found.sires.flatMap(({ maleId }) => this.tags(maleId)),
      otherSire: otherSireOf(found),
      probability: found.isOverTime ? null : chance.probability,
      story: chance.story.map(signView),
      contradictions: chance.contradictions.map(({ earlier, later }) => ({
        earlier: signView(earlier),
        later: signView(later),
      })),
      returns: returns ? windowView(returns) : null,
      returnedOn: spell.outcome.kind === 'returned' ? isoOf(spell.outcome.on) : null,
      birthFrom: isoOf(found.window.opens),
      birthTo: isoOf(found.window.closes),
    };
  }

  private tags(id: string): TagView[] {
    const facts = this.book.state.animals.get(id);
    return facts ? [tagView(facts, this.clock.today())] : [];
  }
}

const reasonView = (reason: FemaleReason, unit: WeightUnit): ReasonView => ({
  code: reason.code,
  holds: holdsBack(reason),
  words: femaleReasonText(reason, unit),
  until: 'until' in reason && reason.until !== undefined ? isoOf(reason.until) : null,
});

const signView = ({ test, ...sign }: CarryingSign): SignView => ({
  ...sign,
  on: isoOf(sign.on),
  ...(test ? { test: { ...test, on: isoOf(test.on) } } : {}),
});

export const hourWindow = (w: WindowOf<Moment>) => ({
  opens: isoMoment(w.opens),
  bestFrom: isoMoment(w.bestFrom),
  bestTo: isoMoment(w.bestTo),
  closes: isoMoment(w.closes),
});
