import { Module } from '@nestjs/common';
import { CarryingModule } from '../carrying/carrying.module';
import { DueModule } from '../due/due.module';
import { HoldingModule } from '../holding/holding.module';
import { SeasonModule } from '../season/season.module';
import { CalendarController } from './calendar.controller';
import { CalendarService } from './calendar.service';

@Module({
  imports: [CarryingModule, DueModule, HoldingModule, SeasonModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
