import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { GrowthModule } from '../growth/growth.module';
import { HoldingModule } from '../holding/holding.module';
import { MatingModule } from '../mating/mating.module';
import { RearingModule } from '../rearing/rearing.module';
import { SellingModule } from '../selling/selling.module';
import { BreedingService } from './breeding.service';
import { ChoosingController } from './choosing.controller';
import { ChoosingService } from './choosing.service';
import { DraftsService } from './drafts.service';
import { GoingService } from './going.service';
import { GrownService } from './grown.service';
import { HerdService } from './herd.service';
import { HowService } from './how.service';
import { JudgeService } from './judge.service';
import { KinService } from './kin.service';
import { SetsService } from './sets.service';
import { StrictnessService } from './strictness.service';
import { TrendService } from './trend.service';

@Module({
  imports: [BookModule, GrowthModule, HoldingModule, MatingModule, RearingModule, SellingModule],
  controllers: [ChoosingController],
  providers: [
    BreedingService,
    ChoosingService,
    DraftsService,
    GoingService,
    GrownService,
    HerdService,
    HowService,
    JudgeService,
    KinService,
    SetsService,
    StrictnessService,
    TrendService,
  ],
  exports: [ChoosingService, GoingService, JudgeService],
})
export class ChoosingModule {}
