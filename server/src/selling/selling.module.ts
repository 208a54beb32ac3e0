import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { OutletsService } from './outlets.service';
import { SellingController } from './selling.controller';
import { SellingService } from './selling.service';

@Module({
  imports: [BookModule],
  controllers: [SellingController],
  providers: [OutletsService, SellingService],
  exports: [OutletsService],
})
export class SellingModule {}
