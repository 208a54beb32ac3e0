import { Inject, Injectable } from '@nestjs/common';
import type { ExpectedBirth, PensView, SireView } from '@yaylak/contract';
import {
  birthDayChances,
  daysOver,
  groupOn,
  isoOf,
  penStage,
  siresOfBirthOf,
  SPECIES,
  windowStage,
  type AnimalFacts,
  type Birth,
  type Day,
  type SireChance,
  type Species,
  youngTold,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { CarryingFemalesService } from '../carrying/carryingFemales.service';
import { Clock } from '../common/clock';
import { otherSireOf, tagView, windowView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { MatingHistoryService } from '../mating/history.service';
import { BirthsToComeService, type Awaited } from '../carrying/birthsToCome.service';

/** Days ahead the chance of each is told. */
export const DAYS_AHEAD = 14;
/** Births of so many days are looked after for what is still to do. */
const PEN_DAYS = 3;
/** Who may give birth till tomorrow evening with less than this is not looked at tonight. */
const TONIGHT_FROM = 0.05;

/** Who is awaited, with what is to be done before, and the pens. */
@Injectable()
export class ExpectedService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(CarryingFemalesService) private readonly carrying: CarryingFemalesService,
    @Inject(BirthsToComeService) private readonly births: BirthsToComeService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** All that are awaited, the first to come first. */
  list(species: readonly Species[]): ExpectedBirth[] {
    return species
      .flatMap((s) => this.births.awaited(s).map((a) => this.view(s, a)))
      .sort((a, b) => (a.birth.bestFrom < b.birth.bestFrom ? -1 : a.birth.bestFrom > b.birth.bestFrom ? 1 : 0));
  }

  private view(species: Species, { id, facts, chance }: Awaited): ExpectedBirth {
    const today = this.clock.today();
    const groupId = groupOn(facts, today);
    return {
      tag: tagView(facts, today),
      species,
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      probability: chance.isOverTime ? null : chance.chance.probability,
      young: youngTold(facts.pregnancyTests, chance),
      sires: this.sires(facts, today),
      otherSire: otherSireOf(chance),
      servedOn: isoOf(chance.spell.lastOn),
      birth: windowView(chance.window),
      daysOver: daysOver(chance.window, today),
      perDay: birthDayChances(chance.spread, today, DAYS_AHEAD).map((share) => share * chance.chance.probability),
      steps: this.carrying.stepsToDo(facts).map(({ step, window }) => ({
        name: step,
        window: windowView(window),
        isOpen: windowStage(window, today) !== 'early',
      })),
      isFirst: this.book.state.litters.birthsOf(id).length === 0,
    };
  }

  /** Who may have sired a birth of a day, or the one that is awaited. */
  sires(facts: AnimalFacts, bornOn: Day, birth?: Birth): SireView[] {
    const today = this.clock.today();
    const { record } = facts;
    const known = birth?.youngIds.flatMap((id) => this.book.state.animals.get(id)?.record.sireId ?? []) ?? [];
    const chances: readonly SireChance[] =
      known[0] === undefined ? this.chances(facts, bornOn, birth) : [{ maleId: known[0], probability: 1 }];
    return chances.flatMap(({ maleId, probability }) => {
      const male = this.book.state.animals.get(maleId);
      return male && male.record.species === record.species ? [{ tag: tagView(male, today), probability }] : [];
    });
  }

  private chances(facts: AnimalFacts, bornOn: Day, birth: Birth | undefined): readonly SireChance[] {
    const before = this.book.state.litters.birthsOf(facts.record.id).findLast((b) => b.on < (birth?.on ?? bornOn) - 3);
    const sires = siresOfBirthOf(facts, this.history.context(facts), { bornOn, since: before?.on });
    // Not her day yet: what she carries says by whom.
    return sires.length > 0 || birth ? sires : (this.history.chance(facts)?.sires ?? []);
  }

  /** Births a day of all that are awaited, from today on. */
  perDay(expected: readonly ExpectedBirth[]): number[] {
    return Array.from({ length: DAYS_AHEAD }, (_, d) => expected.reduce((s, e) => s + (e.perDay[d] ?? 0), 0));
  }

  /** Whom to look at tonight. */
  tonight(expected: readonly ExpectedBirth[]): { animalId: string; chance: number }[] {
    return expected
      .map((e) => ({
        animalId: e.tag.animalId,
        chance: (e.perDay[0] ?? 0) + (e.perDay[1] ?? 0),
        isOver: e.probability === null,
      }))
      .filter((n) => n.isOver || n.chance >= TONIGHT_FROM)
      .sort((a, b) => Number(b.isOver) - Number(a.isOver) || b.chance - a.chance)
      .map(({ animalId, chance }) => ({ animalId, chance }));
  }

  /** How full the pens of the births and of the weeks after are. */
  async pens(species: readonly Species[], expected: readonly ExpectedBirth[]): Promise<PensView[]> {
    const { resources } = await this.holding.settings();
    const today = this.clock.today();
    return species.flatMap((s): PensView[] => {
      const { rearing, weaningDays } = this.book.state.settings(s);
      const stages = this.book.state.present(today).flatMap((facts) => {
        if (facts.record.species !== s || facts.record.sex !== 'female') return [];
        const birth = this.book.state.litters.birthsOf(facts.record.id).at(-1);
        if (!birth || today - birth.on > weaningDays.closes || birth.alive === 0) return [];
        const moved = facts.penStages.filter((p) => p.on >= birth.on);
        return penStage({ on: birth.on, young: birth.alive }, moved, rearing, today)?.stage ?? [];
      });
      const own = expected.filter((e) => e.species === s);
      const toCome = this.perDay(own)
        .slice(0, PEN_DAYS)
        .reduce((sum, n) => sum + n, 0);
      const count = (stage: string): number => stages.filter((x) => x === stage).length;
      if (rearing.bondingDays === 0 && rearing.mixingDays === 0) return [];
      const pens = resources?.birthPens.find((p) => p.species === s)?.pens ?? null;
      return [
        { species: s, stage: 'bonding', taken: count('bonding'), pens, toCome },
        { species: s, stage: 'mixing', taken: count('mixing'), pens: null, toCome: 0 },
      ];
    });
  }

  speciesOf(only: Species | undefined): readonly Species[] {
    return only ? [only] : SPECIES;
  }
}
