import { Inject, Injectable } from '@nestjs/common';
import {
  maleReasonText,
  type MaleToMateView,
  type PartingView,
  type ReasonView,
  type StayView,
  say,
} from '@yaylak/contract';
import {
  capacityOf,
  completedMonths,
  conceptionShare,
  failedParts,
  groupOn,
  holdsMaleBack,
  isFemaleOfAge,
  isMaleGrown,
  isMaleOfAge,
  isoOf,
  isOpenStay,
  kinshipTable,
  maleReadiness,
  partingWindow,
  raddleOn,
  restsUntil,
  serviceDaysOf,
  servicesPerWeekOf,
  weightToMate,
  windowStage,
  type AnimalFacts,
  type Day,
  type MaleReason,
  type Proportion,
  type Readiness,
  type Species,
  type WeightUnit,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Derived } from '../book/derived';
import { Clock } from '../common/clock';
import { shareView, tagView, windowView } from '../common/views';
import { HISTORY_KINDS, MatingHistoryService, seasonFrom } from './history.service';

/** Work that opens within so many days is shown. */
const AHEAD_DAYS = 14;

/** The males: fit or not, their load, and the young ones to be parted from the females. */
@Injectable()
export class MalesService {
  /** What a male's years of services come to; asked of each male by several places. */
  private readonly served: Derived<{ readonly share: Proportion | undefined; readonly days: readonly Day[] }>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.served = book.derived(
      (facts) => {
        const spells = this.history.spellsBy(facts);
        const { id } = facts.record;
        return { share: conceptionShare(spells, id), days: serviceDaysOf(spells, id) };
      },
      () => book.state.versionsOf(HISTORY_KINDS).join(' '),
    );
  }

  /**
   * Males that are bred from, oldest first: grown, used, looked at for it, or chosen to be kept. Young ones that are
   * fattened would hide them; a check brings one in.
   */
  inUse(species: Species): AnimalFacts[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    return this.ofAge(species).filter((f) => {
      const { id, bornOn } = f.record;
      const isGrown = isMaleGrown(bornOn, settings, today);
      const isKnown = f.maleChecks.length + f.stays.length > 0 || f.choices.at(-1)?.decision === 'keep';
      return isGrown || isKnown || (this.book.state.youngByParent.get(id)?.size ?? 0) > 0;
    });
  }

  /** Males old enough to be used, oldest first. */
  ofAge(species: Species): AnimalFacts[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    return this.book.state
      .present(today)
      .filter(({ record: r }) => r.species === species && r.sex === 'male' && isMaleOfAge(r.bornOn, settings, today))
      .sort((a, b) => (a.record.bornOn ?? 0) - (b.record.bornOn ?? 0));
  }

  list(species: Species): MaleToMateView[] {
    const males = this.inUse(species);
    const females = this.femalesOfAge(species);
    const { family } = this.book.state;
    const table = kinshipTable(
      family.pedigree,
      family.inbreeding,
      males.map((m) => m.record.id),
      females.map((f) => f.record.id),
    );
    return males.map((facts, row) => {
      const notWith = females.filter((f, column) =>
        family.refusalOf(f.record.id, facts.record.id, table.values[row * females.length + column] ?? 0),
      ).length;
      return this.view(facts, females, notWith);
    });
  }

  readiness(facts: AnimalFacts): Readiness<MaleReason> {
    const today = this.clock.today();
    const { record } = facts;
    const { share, days } = this.served.of(facts);
    const check = facts.maleChecks.at(-1);
    const failed = check ? failedParts(check.grades) : [];
    const settings = this.book.state.settings(record.species);
    const isGrown = isMaleGrown(record.bornOn, settings, today);
    return maleReadiness(
      {
        bornOn: record.bornOn,
        weight: isGrown ? undefined : weightToMate(facts, 'male', this.book.state.daily(facts), settings),
        lastCheck: check && { on: check.on, failed },
        share,
        restsUntil: restsUntil(days, servicesPerWeekOf(record.bornOn, settings, today), today),
      },
      settings,
      today,
    );
  }

  /** Females that may be mated by age, ready or not. */
  femalesOfAge(species: Species): AnimalFacts[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    return this.book.state
      .present(today)
      .filter(
        ({ record: r }) => r.species === species && r.sex === 'female' && isFemaleOfAge(r.bornOn, settings, today),
      );
  }

  /** How many females a male has this season. */
  load(facts: AnimalFacts, females: readonly AnimalFacts[]): number {
    const today = this.clock.today();
    const { id } = facts.record;
    const groups = new Set(this.stays(facts, females).flatMap((s) => (s.isTeaser ? [] : [s.groupId])));
    const from = seasonFrom(today);
    return females.filter((f) => {
      const groupId = groupOn(f, today);
      if (groupId !== undefined && groups.has(groupId)) return true;
      return f.services.some((s) => s.on >= from && s.maleIds.length === 1 && s.maleIds[0] === id);
    }).length;
  }

  /** Young males in the window in which they are parted from the females they run with. */
  partings(species: Species): PartingView[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    const present = this.book.state.present(today).filter((f) => f.record.species === species);
    const withFemales = new Set(
      present.flatMap((f) => {
        const groupId = groupOn(f, today);
        const isFemale = f.record.sex === 'female';
        return isFemale && groupId !== undefined ? [groupId] : [];
      }),
    );
    return present
      .flatMap((facts): PartingView[] => {
        const { sex, bornOn } = facts.record;
        const groupId = groupOn(facts, today);
        if (sex !== 'male' || bornOn === undefined || groupId === undefined || !withFemales.has(groupId)) return [];
        // A grown male is where he is on purpose.
        if (isMaleOfAge(bornOn, settings, today)) return [];
        const window = partingWindow(bornOn, settings);
        if (window.opens > today + AHEAD_DAYS) return [];
        const stage = windowStage(window, today);
        return [
          {
            tag: tagView(facts, today),
            groupId,
            groupName: this.book.state.groups.get(groupId)?.name ?? null,
            window: windowView(window),
            isOpen: stage !== 'early',
            isLate: stage === 'over' || stage === 'closing',
          },
        ];
      })
      .sort((a, b) => (a.window.closes < b.window.closes ? -1 : 1));
  }

  private view(facts: AnimalFacts, females: readonly AnimalFacts[], notWith: number): MaleToMateView {
    const today = this.clock.today();
    const { record } = facts;
    const readiness = this.readiness(facts);
    const check = facts.maleChecks.at(-1);
    const groupId = groupOn(facts, today);
    const { share } = this.served.of(facts);
    return {
      tag: tagView(facts, today),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      ageYears: record.bornOn === undefined ? null : Math.floor(completedMonths(record.bornOn, today) / 12),
      isReady: readiness.isReady,
      readyOn: readiness.readyOn === undefined ? null : isoOf(readiness.readyOn),
      reasons: readiness.reasons.map((r) => maleReasonView(r, this.book.state.unit)),
      check: check ? { on: isoOf(check.on), grades: check.grades, girthCm: check.girthCm ?? null } : null,
      capacity: capacityOf(record.bornOn, this.book.state.settings(record.species), today),
      load: this.load(facts, females),
      share: share ? shareView(share) : null,
      stays: this.stays(facts, females),
      notWith,
      females: females.length,
    };
  }

  private stays(facts: AnimalFacts, females: readonly AnimalFacts[]): StayView[] {
    const today = this.clock.today();
    return facts.stays
      .filter((s) => isOpenStay(facts, s.entryId, today))
      .map((s): StayView => {
        const raddle = raddleOn(facts, s, today);
        return {
          stayId: s.entryId,
          groupId: s.groupId,
          groupName: this.book.state.groups.get(s.groupId)?.name ?? say('a group'),
          from: isoOf(s.on),
          colour: raddle?.colour ?? null,
          colourFrom: raddle ? isoOf(raddle.since) : null,
          isTeaser: s.isTeaser,
          females: females.filter((f) => groupOn(f, today) === s.groupId).length,
        };
      });
  }
}

const maleReasonView = (reason: MaleReason, unit: WeightUnit): ReasonView => ({
  code: reason.code,
  holds: holdsMaleBack(reason),
  words: maleReasonText(reason, unit),
  until: 'until' in reason && reason.until !== undefined ? isoOf(reason.until) : null,
});
