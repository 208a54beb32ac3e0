import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthService } from './growth.service';

@Module({
  imports: [BookModule],
  providers: [GrowthService],
  exports: [GrowthService],
})
export class GrowthModule {}
