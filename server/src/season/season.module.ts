import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { PlansService } from './plans.service';
import { SeasonController } from './season.controller';
import { SeasonService } from './season.service';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule],
  controllers: [SeasonController],
  providers: [PlansService, SeasonService],
  exports: [SeasonService],
})
export class SeasonModule {}
