import {
  Body,
  Controller,
  DefaultValuePipe,
  Get,
  Inject,
  Param,
  ParseEnumPipe,
  ParseIntPipe,
  Patch,
  Query,
} from '@nestjs/common';
import { ChangeHolding, type HoldingView, type NextNumbers } from '@yaylak/contract';
import { SEXES, SPECIES, type Sex, type Species } from '@yaylak/core';
import { HoldingService } from './holding.service';

const MOST_NUMBERS = 500;

@Controller('api/holding')
export class HoldingController {
  constructor(@Inject(HoldingService) private readonly holding: HoldingService) {}

  /** Settings, figures of each species, today and what stands in the book. */
  @Get()
  view(): Promise<HoldingView> {
    return this.holding.view();
  }

  /** Changes settings on the version that was read. */
  @Patch()
  change(@Body() change: ChangeHolding): Promise<HoldingView> {
    return this.holding.change(change);
  }

  /** The next free numbers for animals of a species and sex. */
  @Get('next-numbers/:species')
  nextNumbers(
    @Param('species', new ParseEnumPipe(Object.fromEntries(SPECIES.map((s) => [s, s])))) species: Species,
    @Query('sex', new DefaultValuePipe('female'), new ParseEnumPipe(Object.fromEntries(SEXES.map((s) => [s, s]))))
    sex: Sex,
    @Query('count', new DefaultValuePipe(1), ParseIntPipe) count: number,
  ): NextNumbers {
    return this.holding.nextNumbers(species, sex, Math.min(MOST_NUMBERS, Math.max(1, count)));
  }
}
