import { Inject, Injectable } from '@nestjs/common';
import type { StrictnessView } from '@yaylak/contract';
import { failingByYear, ofFailedDams, standardsFor, yearOf, type Species, type YoungJudged } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { breathe } from '../common/breathe';
import { HoldingService } from '../holding/holding.service';
import { say } from '@yaylak/contract';

/** How strict the holding was, and what it brought. */
@Injectable()
export class StrictnessService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
  ) {}

  async view(species: Species): Promise<StrictnessView> {
    const standards = await this.holding.standards();
    const young = this.book.state.ofSpecies(species).flatMap(({ record, looks }): YoungJudged[] => {
      const { id, bornOn, damId } = record;
      if (bornOn === undefined || looks.length === 0) return [];
      return [{ id, bornOn, bornIn: yearOf(bornOn), damId, standards: standardsFor(standards, record), looks }];
    });
    const asked = [
      { standardId: null, name: say('Any standard') },
      ...standards.filter((s) => s.species === species && !s.isOut).map((s) => ({ standardId: s.id, name: s.name })),
    ];
    const told: StrictnessView['standards'][number][] = [];
    for (const { standardId, name } of asked) {
      // All that ever were are gone through for each: others are let on between.
      await breathe();
      const years = failingByYear(young, standardId ?? undefined);
      if (years.length === 0) continue;
      const dams = ofFailedDams(young, standardId ?? undefined);
      const { ofFailed, ofPassed, ratio } = dams.kind === 'compared' ? dams : {};
      const ofDams = ofFailed && ofPassed ? { ofFailed, ofPassed, ratio: ratio ?? null } : null;
      told.push({ standardId, name, years, ofDams });
    }
    return { species, standards: told };
  }
}
