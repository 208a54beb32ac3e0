import { Inject, Injectable } from '@nestjs/common';
import type { StrictnessView } from '@yaylak/contract';
import { failingByYear, ofFailedDams, standardsFor, yearOf, type Species, type YoungJudged } from '@yaylak/core';
import { BookService } from '../book/book.service';
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
    return {
      species,
      standards: asked.flatMap(({ standardId, name }): StrictnessView['standards'][number][] => {
        const years = failingByYear(young, standardId ?? undefined);
        if (years.length === 0) return [];
        const dams = ofFailedDams(young, standardId ?? undefined);
        const { ofFailed, ofPassed, ratio } = dams.kind === 'compared' ? dams : {};
        return [
          {
            standardId,
            name,
            years,
            ofDams: ofFailed && ofPassed ? { ofFailed, ofPassed, ratio: ratio ?? null } : null,
          },
        ];
      }),
    };
  }
}
