import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { RemediesModule } from '../remedies/remedies.module';
import { PassportsController } from './passports.controller';
import { PassportsService } from './passports.service';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule, RemediesModule],
  controllers: [PassportsController],
  providers: [PassportsService],
})
export class PassportsModule {}
