import { Global, Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { HistoryController } from './history.controller';
import { HistoryService } from './history.service';

/** Open to all who change something in place. */
@Global()
@Module({
  imports: [BookModule],
  controllers: [HistoryController],
  providers: [HistoryService],
  exports: [HistoryService],
})
export class HistoryModule {}
