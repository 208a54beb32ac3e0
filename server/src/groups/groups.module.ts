import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GroupsController } from './groups.controller';
import { GroupsService } from './groups.service';

@Module({
  imports: [BookModule],
  controllers: [GroupsController],
  providers: [GroupsService],
})
export class GroupsModule {}
