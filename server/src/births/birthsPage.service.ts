import { Inject, Injectable } from '@nestjs/common';
import type { BirthsView, DamQuery, DamView } from '@yaylak/contract';
import { dayOf, groupOn, isoOf, questionsOf, type Species, youngTold } from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { otherSireOf, tagView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { ExpectedService } from './expected.service';
import { GivenService } from './given.service';

/** The place of births: who is awaited, and who gave birth. */
@Injectable()
export class BirthsPageService {
  constructor(
    @Inject(ExpectedService) private readonly expected: ExpectedService,
    @Inject(GivenService) private readonly given: GivenService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(only: Species | undefined): Promise<BirthsView> {
    const species = this.expected.speciesOf(only);
    const expected = this.expected.list(species);
    return {
      on: isoOf(this.clock.today()),
      species: only ?? null,
      expected,
      tonight: this.expected.tonight(expected),
      recent: this.given.recent(species),
      pens: await this.expected.pens(species, expected),
      perDay: this.expected.perDay(expected),
    };
  }

  dam(id: string, birth: DamQuery): DamView {
    const today = this.clock.today();
    const facts = this.animals.find(id);
    const on = birth.on === undefined ? today : dayOf(birth.on);
    const chance = this.history.chance(facts);
    return {
      tag: tagView(facts, today),
      species: facts.record.species,
      young: chance ? youngTold(facts.pregnancyTests, chance) : null,
      sires: this.expected.sires(facts, on),
      otherSire: otherSireOf(this.history.chance(facts)),
      groupId: groupOn(facts, today) ?? null,
      rears: this.given.withHer(id, today).length,
      questions: questionsOf(
        { on, alive: birth.alive ?? 0, dead: birth.dead ?? 0, species: birth.species },
        facts,
        this.book.state.view(today, this.clock.moment()),
      ),
    };
  }
}
