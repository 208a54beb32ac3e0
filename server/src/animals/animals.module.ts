import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { AnimalPageService } from './animalPage.service';
import { AnimalsController } from './animals.controller';
import { AnimalsService } from './animals.service';
import { MentionsService } from './mentions.service';

@Module({
  imports: [BookModule, GrowthModule],
  controllers: [AnimalsController],
  providers: [AnimalPageService, AnimalsService, MentionsService],
  exports: [AnimalPageService, AnimalsService],
})
export class AnimalsModule {}
