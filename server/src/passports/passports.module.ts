import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { PhotosModule } from '../photos/photos.module';
import { RemediesModule } from '../remedies/remedies.module';
import { PassportsController } from './passports.controller';
import { PassportsService } from './passports.service';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule, PhotosModule, RemediesModule],
  controllers: [PassportsController],
  providers: [PassportsService],
})
export class PassportsModule {}
