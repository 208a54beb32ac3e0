import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { ChoosingModule } from '../choosing/choosing.module';
import { ConditionModule } from '../condition/condition.module';
import { HoldingModule } from '../holding/holding.module';
import { MatingModule } from '../mating/mating.module';
import { RemediesModule } from '../remedies/remedies.module';
import { SellingModule } from '../selling/selling.module';
import { JobsController } from './jobs.controller';
import { JobsService } from './jobs.service';
import { RosterService } from './roster.service';
import { TemplatesService } from './templates.service';

@Module({
  imports: [BookModule, ChoosingModule, ConditionModule, HoldingModule, MatingModule, RemediesModule, SellingModule],
  controllers: [JobsController],
  providers: [JobsService, RosterService, TemplatesService],
  exports: [JobsService],
})
export class JobsModule {}
