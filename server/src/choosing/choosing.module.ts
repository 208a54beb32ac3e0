import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { HoldingModule } from '../holding/holding.module';
import { ChoosingController } from './choosing.controller';
import { ChoosingService } from './choosing.service';

@Module({
  imports: [BookModule, GrowthModule, HoldingModule],
  controllers: [ChoosingController],
  providers: [ChoosingService],
  exports: [ChoosingService],
})
export class ChoosingModule {}
