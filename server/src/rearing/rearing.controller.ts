import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { LittersQuery, RearingQuery, type LifeView, type LittersView, type RearingView } from '@yaylak/contract';
import { CompareService } from './compare.service';
import { LifeService } from './life.service';
import { RearingService } from './rearing.service';

@Controller('api/rearing')
export class RearingController {
  constructor(
    @Inject(RearingService) private readonly rearing: RearingService,
    @Inject(CompareService) private readonly compare: CompareService,
    @Inject(LifeService) private readonly lives: LifeService,
  ) {}

  /** Young with their dams: weaning due, gains and losses. */
  @Get()
  view(@Query() { species }: RearingQuery): RearingView {
    return this.rearing.view(species);
  }

  /** Litters beside each other, with what they ate. */
  @Get('litters')
  litters(@Query() query: LittersQuery): Promise<LittersView> {
    return this.compare.view(query);
  }

  /** What one female bore and reared. */
  @Get('life/:id')
  life(@Param('id', ParseUUIDPipe) id: string): LifeView {
    return this.lives.view(id);
  }
}
