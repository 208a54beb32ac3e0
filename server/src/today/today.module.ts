import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BirthsModule } from '../births/births.module';
import { BookModule } from '../book/book.module';
import { CarryingModule } from '../carrying/carrying.module';
import { ChoosingModule } from '../choosing/choosing.module';
import { CopiesModule } from '../copies/copies.module';
import { DueModule } from '../due/due.module';
import { GrowthModule } from '../growth/growth.module';
import { JobsModule } from '../jobs/jobs.module';
import { MatingModule } from '../mating/mating.module';
import { RemediesModule } from '../remedies/remedies.module';
import { SeasonModule } from '../season/season.module';
import { TodayController } from './today.controller';
import { SellingModule } from '../selling/selling.module';
import { TodayService } from './today.service';

@Module({
  imports: [
    AnimalsModule,
    BirthsModule,
    BookModule,
    CarryingModule,
    ChoosingModule,
    CopiesModule,
    DueModule,
    GrowthModule,
    JobsModule,
    MatingModule,
    RemediesModule,
    SeasonModule,
    SellingModule,
  ],
  controllers: [TodayController],
  providers: [TodayService],
})
export class TodayModule {}
