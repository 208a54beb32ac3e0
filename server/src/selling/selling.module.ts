import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { MatingModule } from '../mating/mating.module';
import { LearnedService } from './learned.service';
import { LoadsService } from './loads.service';
import { MarginsService } from './margins.service';
import { OutletsService } from './outlets.service';
import { PaidService } from './paid.service';
import { ResultsService } from './results.service';
import { SaleAheadService } from './ahead.service';
import { SaleSheetService } from './saleSheet.service';
import { SellingController } from './selling.controller';
import { SellingService } from './selling.service';

@Module({
  imports: [AnimalsModule, BookModule, MatingModule],
  controllers: [SellingController],
  providers: [
    LearnedService,
    LoadsService,
    MarginsService,
    OutletsService,
    PaidService,
    ResultsService,
    SaleAheadService,
    SaleSheetService,
    SellingService,
  ],
  exports: [LearnedService, LoadsService, OutletsService, PaidService, SaleAheadService],
})
export class SellingModule {}
