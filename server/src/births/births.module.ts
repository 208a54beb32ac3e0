import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { CarryingModule } from '../carrying/carrying.module';
import { HoldingModule } from '../holding/holding.module';
import { MatingModule } from '../mating/mating.module';
import { BirthsController } from './births.controller';
import { BirthsPageService } from './birthsPage.service';
import { ExpectedService } from './expected.service';
import { GivenService } from './given.service';

@Module({
  imports: [AnimalsModule, BookModule, CarryingModule, HoldingModule, MatingModule],
  controllers: [BirthsController],
  providers: [BirthsPageService, ExpectedService, GivenService],
  exports: [ExpectedService, GivenService],
})
export class BirthsModule {}
