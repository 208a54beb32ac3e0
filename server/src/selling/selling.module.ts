import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { LearnedService } from './learned.service';
import { OutletsService } from './outlets.service';
import { ResultsService } from './results.service';
import { SellingController } from './selling.controller';
import { SellingService } from './selling.service';

@Module({
  imports: [BookModule],
  controllers: [SellingController],
  providers: [LearnedService, OutletsService, ResultsService, SellingService],
  exports: [LearnedService, OutletsService],
})
export class SellingModule {}
