import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { SeasonModule } from '../season/season.module';
import { ConditionController } from './condition.controller';
import { ConditionService } from './condition.service';
import { DrillsService } from './drills.service';
import { ScorersService } from './scorers.service';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule, SeasonModule],
  controllers: [ConditionController],
  providers: [ConditionService, DrillsService, ScorersService],
  exports: [ConditionService],
})
export class ConditionModule {}
