import { Inject, Injectable } from '@nestjs/common';
import { USUAL_HOW, type RankingHow, type Species } from '@yaylak/core';
import { HoldingService } from '../holding/holding.service';

/** What a set is ranked by until its draft says otherwise. */
@Injectable()
export class HowService {
  constructor(@Inject(HoldingService) private readonly holding: HoldingService) {}

  /** The holding's first preset of a species, or the usual with the holding's own points weights. */
  async of(species: Species): Promise<RankingHow> {
    const { choosing, pointsWeights } = await this.holding.settings();
    const preset = choosing?.presets.find((p) => p.species === species);
    const usual = USUAL_HOW[species];
    return preset?.how ?? { ...usual, own: { ...usual.own, ...pointsWeights } };
  }

  /** Another with every change of the settings. */
  async version(): Promise<number> {
    return (await this.holding.settings()).version;
  }
}
