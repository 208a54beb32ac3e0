import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { AnimalPageService } from './animalPage.service';
import { AnimalsController } from './animals.controller';
import { AnimalsService } from './animals.service';
import { MentionsService } from './mentions.service';
import { WeighingsService } from './weighings.service';

@Module({
  imports: [BookModule, GrowthModule],
  controllers: [AnimalsController],
  providers: [AnimalPageService, AnimalsService, MentionsService, WeighingsService],
  exports: [AnimalPageService, AnimalsService, WeighingsService],
})
export class AnimalsModule {}
