import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { HoldingModule } from '../holding/holding.module';
import { MatingModule } from '../mating/mating.module';
import { CompareService } from './compare.service';
import { LifeService } from './life.service';
import { LittersService } from './litters.service';
import { RearingController } from './rearing.controller';
import { RearingService } from './rearing.service';

@Module({
  imports: [AnimalsModule, BookModule, GrowthModule, HoldingModule, MatingModule],
  controllers: [RearingController],
  providers: [CompareService, LifeService, LittersService, RearingService],
  exports: [CompareService, LittersService],
})
export class RearingModule {}
