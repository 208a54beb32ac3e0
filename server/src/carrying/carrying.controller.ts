import { Controller, Get, Inject, Query } from '@nestjs/common';
import {
  BirthListQuery,
  CarryingQuery,
  type AgeingView,
  type BirthListView,
  type CarryingView,
  type TubeOutView,
} from '@yaylak/contract';
import { BirthsService } from './births.service';
import { CarryingService } from './carrying.service';
import { LaboratoryService } from './laboratory.service';

@Controller('api/carrying')
export class CarryingController {
  constructor(
    @Inject(CarryingService) private readonly carrying: CarryingService,
    @Inject(BirthsService) private readonly births: BirthsService,
    @Inject(LaboratoryService) private readonly laboratory: LaboratoryService,
  ) {}

  @Get()
  view(@Query() query: CarryingQuery): Promise<CarryingView> {
    return this.carrying.view(query);
  }

  @Get('births')
  birthList(@Query() { species }: BirthListQuery): BirthListView {
    return this.births.list(species);
  }

  @Get('tubes')
  tubes(): readonly TubeOutView[] {
    return this.laboratory.tubesOut();
  }

  @Get('ageing')
  ageing(): readonly AgeingView[] {
    return this.laboratory.ageing();
  }
}
