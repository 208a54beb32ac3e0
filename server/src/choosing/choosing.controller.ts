import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ChoosingQuery, type ChoosingSet, type ChoosingView } from '@yaylak/contract';
import { ChoosingService } from './choosing.service';

@Controller('api/choosing')
export class ChoosingController {
  constructor(@Inject(ChoosingService) private readonly choosing: ChoosingService) {}

  /** Sets of animals that can be ranked. */
  @Get('sets')
  sets(): ChoosingSet[] {
    return this.choosing.sets();
  }

  /** A set in the order of its points, with where the lines fall. */
  @Get()
  rank(@Query() query: ChoosingQuery): Promise<ChoosingView> {
    return this.choosing.rank(query);
  }
}
