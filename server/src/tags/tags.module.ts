import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { TagsController } from './tags.controller';
import { TagsService } from './tags.service';

@Module({
  imports: [BookModule],
  controllers: [TagsController],
  providers: [TagsService],
})
export class TagsModule {}
