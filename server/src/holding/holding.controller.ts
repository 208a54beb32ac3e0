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

  /** The numbers to fit next on animals of a species and sex, born in a year. */
  @Get('next-numbers/:species')
  nextNumbers(
    @Param('species', new ParseEnumPipe(Object.fromEntries(SPECIES.map((s) => [s, s])))) species: Species,
    @Query('sex', new DefaultValuePipe('female'), new ParseEnumPipe(Object.fromEntries(SEXES.map((s) => [s, s]))))
    sex: Sex,
    @Query('count', new DefaultValuePipe(1), ParseIntPipe) count: number,
    @Query('year', new ParseIntPipe({ optional: true })) year?: number,
  ): Promise<NextNumbers> {
    const bounded = Math.min(MOST_NUMBERS, Math.max(1, count));
    return this.holding.nextNumbers({ species, sex, count: bounded, ...(year === undefined ? {} : { year }) });
  }
}
