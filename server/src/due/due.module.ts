import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BirthsModule } from '../births/births.module';
import { BookModule } from '../book/book.module';
import { CarryingModule } from '../carrying/carrying.module';
import { MatingModule } from '../mating/mating.module';
import { RearingModule } from '../rearing/rearing.module';
import { RemediesModule } from '../remedies/remedies.module';
import { SeasonModule } from '../season/season.module';
import { DueService } from './due.service';

@Module({
  imports: [
    AnimalsModule,
    BirthsModule,
    BookModule,
    CarryingModule,
    MatingModule,
    RearingModule,
    RemediesModule,
    SeasonModule,
  ],
  providers: [DueService],
  exports: [DueService],
})
export class DueModule {}
