import { Inject, Injectable } from '@nestjs/common';
import { planOf } from '@yaylak/contract';
import { weighingsOf, type AnimalFacts, type WeighingDue } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Derived } from '../book/derived';
import { Clock } from '../common/clock';

/** Which weighings are due, on Today as on an animal's page. */
@Injectable()
export class WeighingsService {
  private readonly due: Derived<readonly WeighingDue[]>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.due = new Derived(
      () => book.state,
      (facts) => this.read(facts),
      () => `${clock.today()} ${book.state.recordsVersion}`,
    );
  }

  of(facts: AnimalFacts): readonly WeighingDue[] {
    return this.due.of(facts);
  }

  private read(facts: AnimalFacts): readonly WeighingDue[] {
    const { state } = this.book;
    const { id, species } = facts.record;
    return weighingsOf(facts, {
      daily: state.daily(facts),
      births: state.litters.birthsOf(id),
      youngAbout: state.litters.youngAbout(id),
      plans: [...state.plans.values()].flatMap((p) => (p.facts.species === species ? [planOf(p.facts)] : [])),
      settings: state.settings(species),
      today: this.clock.today(),
    });
  }
}
