import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ChoosingQuery, type ChoosingSet, type ChoosingView } from '@yaylak/contract';
import { ChoosingService } from './choosing.service';

@Controller('api/choosing')
export class ChoosingController {
  constructor(@Inject(ChoosingService) private readonly choosing: ChoosingService) {}

  @Get('sets')
  sets(): ChoosingSet[] {
    return this.choosing.sets();
  }

  @Get()
  rank(@Query() query: ChoosingQuery): Promise<ChoosingView> {
    return this.choosing.rank(query);
  }
}
