import { Inject, Injectable } from '@nestjs/common';
import type { ScorersView } from '@yaylak/contract';
import { halfWidth80, scorerBiases, SCORER_PAIRS_NEEDED } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { HoldingService } from '../holding/holding.service';

/** How the hands that score differ. */
@Injectable()
export class ScorersService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
  ) {}

  async view(): Promise<ScorersView> {
    const { scorers: setting } = await this.holding.settings();
    const counts = new Map<string, number>();
    for (const { scores } of this.book.state.animals.values())
      for (const { by } of scores) counts.set(by, (counts.get(by) ?? 0) + 1);
    const scorers = [...counts].map(([name, scores]) => ({ name, scores })).sort((a, b) => b.scores - a.scores);
    const pairs = this.book.state.scorerPairs;
    const reference = setting?.reference ?? scorers[0]?.name ?? null;
    return {
      scorers,
      reference,
      pairsNeeded: SCORER_PAIRS_NEEDED,
      pairs: pairs.map(({ first, second, pairs: own, agreement: a, kappa, withinHalf }) => ({
        first,
        second,
        pairs: own.map(([x, y]) => [x, y] as const),
        bias: a.bias,
        biasHalfWidth: a.biasStandardError === undefined ? null : halfWidth80(a.biasStandardError),
        limits: a.limits ?? null,
        kappa: kappa ?? null,
        withinHalf,
      })),
      biases: (reference === null ? [] : scorerBiases(pairs, reference)).map((b) => ({
        by: b.by,
        bias: b.bias,
        halfWidth: b.standardError === undefined ? null : halfWidth80(b.standardError),
        pairs: b.pairs,
        isUsable: b.isUsable,
        isSetRight: b.isUsable && (setting?.setRight.includes(b.by) ?? false),
      })),
    };
  }
}
