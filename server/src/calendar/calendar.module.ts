import { Module } from '@nestjs/common';
import { CarryingModule } from '../carrying/carrying.module';
import { DueModule } from '../due/due.module';
import { HoldingModule } from '../holding/holding.module';
import { SeasonModule } from '../season/season.module';
import { SellingModule } from '../selling/selling.module';
import { CalendarController } from './calendar.controller';
import { CalendarService } from './calendar.service';

@Module({
  imports: [CarryingModule, DueModule, HoldingModule, SeasonModule, SellingModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
