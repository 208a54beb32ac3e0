import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { AccountsService } from './accounts.service';
import { DeedGuard } from './deedGuard';
import { HouseDoors } from './houseDoors';
import { HouseholdController } from './household.controller';
import { HouseholdService } from './household.service';
import { PeopleController } from './people.controller';

@Module({
  controllers: [HouseholdController, PeopleController],
  providers: [AccountsService, HouseholdService, HouseDoors, { provide: APP_GUARD, useClass: DeedGuard }],
  exports: [AccountsService, HouseholdService, HouseDoors],
})
export class HouseholdModule {}
