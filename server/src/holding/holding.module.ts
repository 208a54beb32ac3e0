import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { HoldingController } from './holding.controller';
import { HoldingService } from './holding.service';

@Module({
  imports: [BookModule],
  controllers: [HoldingController],
  providers: [HoldingService],
  exports: [HoldingService],
})
export class HoldingModule {}
