import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { MatingModule } from '../mating/mating.module';
import { SeasonModule } from '../season/season.module';
import { BirthsToComeService } from './birthsToCome.service';
import { CarryingController } from './carrying.controller';
import { CarryingService } from './carrying.service';
import { CarryingFemalesService } from './carryingFemales.service';
import { LaboratoryService } from './laboratory.service';
import { WhatNowService } from './whatNow.service';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule, MatingModule, SeasonModule],
  controllers: [CarryingController],
  providers: [BirthsToComeService, CarryingFemalesService, CarryingService, LaboratoryService, WhatNowService],
  exports: [BirthsToComeService, CarryingFemalesService, CarryingService],
})
export class CarryingModule {}
