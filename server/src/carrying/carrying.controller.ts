import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import {
  CarryingQuery,
  type AgeingView,
  type CarryingFemaleView,
  type CarryingView,
  type TubeOutView,
} from '@yaylak/contract';
import { AnimalsService } from '../animals/animals.service';
import { CarryingFemalesService } from './carryingFemales.service';
import { CarryingService } from './carrying.service';
import { LaboratoryService } from './laboratory.service';

@Controller('api/carrying')
export class CarryingController {
  constructor(
    @Inject(CarryingService) private readonly carrying: CarryingService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(CarryingFemalesService) private readonly females: CarryingFemalesService,
    @Inject(LaboratoryService) private readonly laboratory: LaboratoryService,
  ) {}

  /** Females by what is known of their carrying, with the chance and what comes next. */
  @Get()
  view(@Query() query: CarryingQuery): Promise<CarryingView> {
    return this.carrying.view(query);
  }

  /** One female: signs, tests and chance day by day. */
  @Get('female/:id')
  female(@Param('id', ParseUUIDPipe) id: string): CarryingFemaleView {
    return this.females.view(this.animals.find(id));
  }

  /** Tubes filled and not yet answered. */
  @Get('tubes')
  tubes(): readonly TubeOutView[] {
    return this.laboratory.tubesOut();
  }

  /** How far scanners and learners agree on the age of the young. */
  @Get('ageing')
  ageing(): readonly AgeingView[] {
    return this.laboratory.ageing();
  }
}
