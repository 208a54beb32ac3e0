import { Inject, Injectable } from '@nestjs/common';
import type { BirthSeen, YoungSeen } from '@yaylak/contract';
import {
  addDays,
  addHours,
  afterbirthOf,
  birthsAskedSince,
  BY_HAND,
  groupOn,
  handlingWindow,
  isBirthAskedAbout,
  isoMoment,
  isoOf,
  isPresent,
  orphansOf,
  penStage,
  rearedBy,
  windowStage,
  youngToHandle,
  type AnimalFacts,
  type Birth,
  type BirthFact,
  type Day,
  type Species,
  type StageNow,
  type Window,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { ExpectedService } from './expected.service';

/** Births stay on the list for so many days, and as long as something is still to do. */
const RECENT_DAYS = 14;

/** Births that were, with what is still to do of each. */
@Injectable()
export class GivenService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(ExpectedService) private readonly expected: ExpectedService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Births of the last fortnight and those with something open, the latest first. */
  recent(species: readonly Species[]): BirthSeen[] {
    return this.births(species)
      .map(({ facts, birth }) => this.view(facts, birth))
      .filter((b) => this.isShown(b))
      .sort((a, b) => ((a.at ?? a.on) < (b.at ?? b.on) ? 1 : -1));
  }

  /** The last birth of each female, of the last month; longer of one that left young behind. */
  births(species: readonly Species[]): { readonly facts: AnimalFacts; readonly birth: Birth }[] {
    const today = this.clock.today();
    return species.flatMap((s) => {
      const since = birthsAskedSince(this.book.state.settings(s), today);
      const last = new Map(this.book.state.litters.birthsSince(s, since).map((one) => [one.facts, one] as const));
      return [...last.values()].filter(({ facts, birth }) => {
        const dam = { isHere: isPresent(facts, today), orphans: () => this.orphans(facts) };
        return isBirthAskedAbout(birth, dam, today);
      });
    });
  }

  /** Dams that left young behind, with how many are to be fed. */
  orphaned(species: readonly Species[]): { readonly facts: AnimalFacts; readonly orphans: number }[] {
    return this.births(species).flatMap(({ facts }) => {
      const orphans = this.orphans(facts);
      return orphans > 0 ? [{ facts, orphans }] : [];
    });
  }

  private orphans(dam: AnimalFacts): number {
    if (isPresent(dam, this.clock.today())) return 0;
    const { closes } = this.book.state.settings(dam.record.species).weaningDays;
    const young = this.book.state.litters.youngAbout(dam.record.id);
    return orphansOf(dam, young, { today: this.clock.today(), weaningAge: closes }).length;
  }

  private isShown(b: BirthSeen): boolean {
    const isHeld = b.afterbirth !== null && (b.afterbirth.heldSince !== null || b.afterbirth.state === 'waiting');
    const isRecent = isoOf(addDays(this.clock.today(), -RECENT_DAYS)) <= b.on;
    return isRecent || isHeld || b.orphans > 0 || (b.handling?.left ?? 0) > 0 || (b.stage?.next ?? null) !== null;
  }

  view(facts: AnimalFacts, birth: Birth): BirthSeen {
    const today = this.clock.today();
    const { record } = facts;
    const groupId = groupOn(facts, today);
    const fact = facts.births.find((b) => b.entryId === birth.written?.entryId);
    const births = this.book.state.litters.birthsOf(record.id);
    const settings = this.book.state.settings(record.species);
    const after = isPresent(facts, today) ? afterbirthOf(facts, births, settings, this.clock.moment()) : undefined;
    const rears = this.withHer(record.id, today);
    return {
      entryId: birth.written?.entryId ?? null,
      tag: tagView(facts, today),
      species: record.species,
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      on: isoOf(birth.on),
      at: fact?.at === undefined ? null : isoMoment(fact.at),
      alive: birth.alive,
      dead: birth.dead,
      ease: fact?.ease ?? null,
      presentation: fact?.presentation ?? null,
      mothering: fact?.mothering ?? null,
      afterbirth: after
        ? { state: after.state, heldSince: after.heldSince === undefined ? null : isoOf(after.heldSince) }
        : null,
      reason: fact?.reason ?? null,
      sires: this.expected.sires(facts, birth.on, birth),
      young: birth.youngIds.flatMap((id) => this.young(id, record.id, fact)),
      rears: rears.length,
      orphans: this.orphans(facts),
      goneOn: facts.departures[0] ? isoOf(facts.departures[0].on) : null,
      stage: this.stageView(facts, birth),
      handling: this.handling(birth, record.species),
    };
  }

  /** Young that are with a dam on a day, her own or not. */
  withHer(damId: string, on: Day): string[] {
    return this.book.state.litters.youngAbout(damId).flatMap((y) => (rearedBy(y, on) === damId ? [y.id] : []));
  }

  private young(id: string, damId: string, birth: BirthFact | undefined): YoungSeen[] {
    const facts = this.book.state.animals.get(id);
    const reared = this.book.state.litters.reared(id);
    if (!facts || !reared) return [];
    const today = this.clock.today();
    const by = rearedBy(reared, today);
    const other = by === undefined || by === damId || by === BY_HAND ? undefined : this.book.state.animals.get(by);
    const milk = facts.colostrums[0];
    const { rearing } = this.book.state.settings(facts.record.species);
    const died = facts.departures.find((d) => d.how === 'died');
    return [
      {
        tag: tagView(facts, today),
        sex: facts.record.sex,
        birthKg: this.book.state.daily(facts).find((r) => r.on - reared.bornOn <= 2)?.kg ?? null,
        colostrum: milk ? { at: isoMoment(milk.at), how: milk.how } : null,
        colostrumBy:
          milk || birth?.at === undefined || died ? null : isoMoment(addHours(birth.at, rearing.colostrumHours)),
        rearedBy: by === BY_HAND ? BY_HAND : other ? tagView(other, today) : null,
        diedOn: died ? isoOf(died.on) : null,
      },
    ];
  }

  /** In which pen she is with her young of a birth; undefined where none is with her. */
  stage(facts: AnimalFacts, birth: Birth): StageNow | undefined {
    const today = this.clock.today();
    if (!isPresent(facts, today) || this.withHer(facts.record.id, today).length === 0) return undefined;
    const { rearing } = this.book.state.settings(facts.record.species);
    const moved = facts.penStages.filter((p) => p.on >= birth.on);
    return penStage({ on: birth.on, young: birth.alive }, moved, rearing, today);
  }

  private stageView(facts: AnimalFacts, birth: Birth): BirthSeen['stage'] {
    const found = this.stage(facts, birth);
    if (!found) return null;
    const { stage, next } = found;
    return {
      now: stage,
      next: next
        ? {
            stage: next.stage,
            window: windowView(next.window),
            isOpen: windowStage(next.window, this.clock.today()) !== 'early',
          }
        : null,
    };
  }

  /** When the young of a birth that wear nothing yet are weighed and tagged, and how many they are. */
  toHandle(birth: Birth, species: Species): { readonly window: Window; readonly left: number } | undefined {
    const settings = this.book.state.settings(species);
    const young = birth.youngIds.flatMap((id) => this.book.state.animals.get(id) ?? []);
    const left = youngToHandle(young, settings).length;
    return left === 0 ? undefined : { window: handlingWindow(birth, settings), left };
  }

  private handling(birth: Birth, species: Species): BirthSeen['handling'] {
    const found = this.toHandle(birth, species);
    if (!found) return null;
    const { window, left } = found;
    return { window: windowView(window), left, isOpen: windowStage(window, this.clock.today()) !== 'early' };
  }
}
