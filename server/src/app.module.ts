import { MikroORM } from '@mikro-orm/libsql';
import { existsSync } from 'node:fs';
import { Module, type DynamicModule, type OnApplicationShutdown, Inject } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { LoggerModule } from 'nestjs-pino';
import { AnimalPageService } from './animals/animalPage.service';
import { AnimalsController } from './animals/animals.controller';
import { AnimalsService } from './animals/animals.service';
import { BookController } from './book/book.controller';
import { BookService } from './book/book.service';
import { BirthsController } from './births/births.controller';
import { BirthsToComeService } from './carrying/birthsToCome.service';
import { BirthsPageService } from './births/birthsPage.service';
import { ExpectedService } from './births/expected.service';
import { GivenService } from './births/given.service';
import { CarryingController } from './carrying/carrying.controller';
import { CarryingFemalesService } from './carrying/carryingFemales.service';
import { CarryingService } from './carrying/carrying.service';
import { LaboratoryService } from './carrying/laboratory.service';
import { WhatNowService } from './carrying/whatNow.service';
import { ChoosingController } from './choosing/choosing.controller';
import { ChoosingService } from './choosing/choosing.service';
import { Clock } from './common/clock';
import { ConditionController } from './condition/condition.controller';
import { ConditionService } from './condition/condition.service';
import { DrillsService } from './condition/drills.service';
import { ScorersService } from './condition/scorers.service';
import { logStream } from './common/logStream';
import { CONFIG } from './common/tokens';
import type { ServerConfig } from './config';
import { closeBook } from './database/openBook';
import { BookFileService } from './exchange/bookFile.service';
import { CsvService } from './exchange/csv.service';
import { ExchangeController } from './exchange/exchange.controller';
import { GroupsController } from './groups/groups.controller';
import { GroupsService } from './groups/groups.service';
import { GrowthService } from './growth/growth.service';
import { HealthController } from './health/health.controller';
import { HoldingController } from './holding/holding.controller';
import { HoldingService } from './holding/holding.service';
import { JobsController } from './jobs/jobs.controller';
import { JobsService } from './jobs/jobs.service';
import { RosterService } from './jobs/roster.service';
import { TemplatesService } from './jobs/templates.service';
import { ProductsService } from './remedies/products.service';
import { RegisterService } from './remedies/register.service';
import { CompareService } from './rearing/compare.service';
import { LifeService } from './rearing/life.service';
import { LittersService } from './rearing/litters.service';
import { RearingController } from './rearing/rearing.controller';
import { RearingService } from './rearing/rearing.service';
import { RemediesController } from './remedies/remedies.controller';
import { RemediesService } from './remedies/remedies.service';
import { DueService } from './due/due.service';
import { MarksDueService } from './due/marks.service';
import { YoungDueService } from './due/young.service';
import { CalendarController } from './calendar/calendar.controller';
import { CalendarService } from './calendar/calendar.service';
import { FemalesToMateService } from './mating/females.service';
import { MatingHistoryService } from './mating/history.service';
import { MalesService } from './mating/males.service';
import { MatingController } from './mating/mating.controller';
import { MatingService } from './mating/mating.service';
import { PairingService } from './mating/pairing.service';
import { PlansService } from './season/plans.service';
import { SeasonController } from './season/season.controller';
import { SeasonService } from './season/season.service';
import { TagsController } from './tags/tags.controller';
import { TagsService } from './tags/tags.service';
import { TodayController } from './today/today.controller';
import { TodayService } from './today/today.service';

@Module({
  controllers: [
    AnimalsController,
    BookController,
    BirthsController,
    RearingController,
    CarryingController,
    ChoosingController,
    ConditionController,
    ExchangeController,
    GroupsController,
    HealthController,
    HoldingController,
    JobsController,
    RemediesController,
    CalendarController,
    SeasonController,
    MatingController,
    TagsController,
    TodayController,
  ],
  providers: [
    AnimalPageService,
    AnimalsService,
    BookFileService,
    BirthsToComeService,
    BookService,
    CalendarService,
    BirthsPageService,
    CompareService,
    LifeService,
    LittersService,
    RearingService,
    ExpectedService,
    GivenService,
    CarryingFemalesService,
    CarryingService,
    LaboratoryService,
    WhatNowService,
    ChoosingService,
    Clock,
    ConditionService,
    CsvService,
    DrillsService,
    DueService,
    YoungDueService,
    MarksDueService,
    FemalesToMateService,
    MalesService,
    MatingHistoryService,
    MatingService,
    PairingService,
    GroupsService,
    GrowthService,
    HoldingService,
    JobsService,
    PlansService,
    ProductsService,
    RegisterService,
    RemediesService,
    RosterService,
    ScorersService,
    SeasonService,
    TagsService,
    TemplatesService,
    TodayService,
  ],
})
export class AppModule implements OnApplicationShutdown {
  constructor(@Inject(MikroORM) private readonly orm: MikroORM) {}

  /** The application over one opened book. */
  static over(config: ServerConfig, orm: MikroORM): DynamicModule {
    return {
      module: AppModule,
      imports: [
        LoggerModule.forRoot({
          forRoutes: ['*path'],
          pinoHttp: [
            {
              level: config.logLevel,
              // Nothing of the book in the logs: method, path without its query, status and time.
              serializers: {
                req: (r: { method: string; url: string }) => ({ method: r.method, path: r.url.split('?')[0] }),
                res: (r: { statusCode: number }) => ({ status: r.statusCode }),
                err: (e: Error) => ({ type: e.name }),
              },
            },
            logStream(),
          ],
        }),
        ThrottlerModule.forRoot([{ ttl: 10_000, limit: config.requestsPerTenSeconds }]),
        ...(existsSync(config.webDir) ? [interfaceModule(config.webDir)] : []),
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: MikroORM, useValue: orm },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
      ],
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await closeBook(this.orm);
  }
}

const interfaceModule = (rootPath: string): DynamicModule =>
  ServeStaticModule.forRoot({
    rootPath,
    exclude: ['/api/{*path}'],
    serveStaticOptions: {
      setHeaders: (res: { setHeader(name: string, value: string): void }, path: string) => {
        const isNamedByContent = path.includes('/assets/');
        res.setHeader('cache-control', isNamedByContent ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    },
  });
