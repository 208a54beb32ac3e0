import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { HoldingModule } from '../holding/holding.module';
import { RearingModule } from '../rearing/rearing.module';
import { BreedingService } from './breeding.service';
import { ChoosingController } from './choosing.controller';
import { ChoosingService } from './choosing.service';
import { DraftsService } from './drafts.service';
import { HowService } from './how.service';
import { JudgeService } from './judge.service';
import { KinService } from './kin.service';
import { SetsService } from './sets.service';
import { StrictnessService } from './strictness.service';

@Module({
  imports: [BookModule, GrowthModule, HoldingModule, RearingModule],
  controllers: [ChoosingController],
  providers: [
    BreedingService,
    ChoosingService,
    DraftsService,
    HowService,
    JudgeService,
    KinService,
    SetsService,
    StrictnessService,
  ],
  exports: [ChoosingService, JudgeService],
})
export class ChoosingModule {}
