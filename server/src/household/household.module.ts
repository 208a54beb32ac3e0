import { Module } from '@nestjs/common';
import { HouseDoors } from './houseDoors';
import { HouseholdController } from './household.controller';
import { HouseholdService } from './household.service';

@Module({
  controllers: [HouseholdController],
  providers: [HouseholdService, HouseDoors],
  exports: [HouseholdService, HouseDoors],
})
export class HouseholdModule {}
