import { Module } from '@nestjs/common';
import { AnimalsModule } from '../animals/animals.module';
import { BookModule } from '../book/book.module';
import { HoldingModule } from '../holding/holding.module';
import { PhotosModule } from '../photos/photos.module';
import { BookFileService } from './bookFile.service';
import { CsvService } from './csv.service';
import { ExchangeController } from './exchange.controller';

@Module({
  imports: [AnimalsModule, BookModule, HoldingModule, PhotosModule],
  controllers: [ExchangeController],
  providers: [BookFileService, CsvService],
})
export class ExchangeModule {}
