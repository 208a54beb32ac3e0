import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { HoldingModule } from '../holding/holding.module';
import { FemalesToMateService } from './females.service';
import { MatingHistoryService } from './history.service';
import { MalesService } from './males.service';
import { MatingController } from './mating.controller';
import { MatingService } from './mating.service';
import { PairingService } from './pairing.service';

@Module({
  imports: [AnimalsModule, BookModule, GrowthModule, HoldingModule],
  controllers: [MatingController],
  providers: [FemalesToMateService, MalesService, MatingHistoryService, MatingService, PairingService],
  exports: [FemalesToMateService, MatingHistoryService, MatingService],
})
export class MatingModule {}
