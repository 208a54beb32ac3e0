import { MikroORM } from '@mikro-orm/libsql';
import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import {
  Inject,
  Module,
  type BeforeApplicationShutdown,
  type DynamicModule,
  type OnApplicationShutdown,
} from '@nestjs/common';
import { APP_GUARD, HttpAdapterHost } from '@nestjs/core';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { LoggerModule } from 'nestjs-pino';
import { CommonModule } from './common/common.module';
import { AnimalsModule } from './animals/animals.module';
import { BirthsModule } from './births/births.module';
import { BookModule } from './book/book.module';
import { CalendarModule } from './calendar/calendar.module';
import { CarryingModule } from './carrying/carrying.module';
import { ChoosingModule } from './choosing/choosing.module';
import { ConditionModule } from './condition/condition.module';
import { CopiesModule } from './copies/copies.module';
import { DueModule } from './due/due.module';
import { ExchangeModule } from './exchange/exchange.module';
import { PassportsModule } from './passports/passports.module';
import { PhotosModule } from './photos/photos.module';
import { GroupsModule } from './groups/groups.module';
import { GrowthModule } from './growth/growth.module';
import { HealthModule } from './health/health.module';
import { HistoryModule } from './history/history.module';
import { HoldingModule } from './holding/holding.module';
import { HouseholdModule } from './household/household.module';
import { JobsModule } from './jobs/jobs.module';
import { MatingModule } from './mating/mating.module';
import { RearingModule } from './rearing/rearing.module';
import { RemediesModule } from './remedies/remedies.module';
import { SeasonModule } from './season/season.module';
import { SellingModule } from './selling/selling.module';
import { TagsModule } from './tags/tags.module';
import { TodayModule } from './today/today.module';
import { logStream } from './common/logStream';
import type { ServerConfig } from './config';
import { closeBook } from './database/openBook';

const LET_GO_MS = 50;

/** One module a feature; what all of them stand on (clock, settings, the open book) is there for each. */
@Module({
  imports: [
    AnimalsModule,
    BirthsModule,
    BookModule,
    CalendarModule,
    CarryingModule,
    ChoosingModule,
    ConditionModule,
    CopiesModule,
    DueModule,
    ExchangeModule,
    PassportsModule,
    PhotosModule,
    GroupsModule,
    GrowthModule,
    HealthModule,
    HistoryModule,
    HoldingModule,
    HouseholdModule,
    JobsModule,
    MatingModule,
    RearingModule,
    RemediesModule,
    SeasonModule,
    SellingModule,
    TagsModule,
    TodayModule,
  ],
})
export class AppModule implements BeforeApplicationShutdown, OnApplicationShutdown {
  private letGo: NodeJS.Timeout | undefined;

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(HttpAdapterHost) private readonly host: HttpAdapterHost,
  ) {}

  /** The application over one opened book. */
  static over(config: ServerConfig, orm: MikroORM): DynamicModule {
    return {
      module: AppModule,
      imports: [
        CommonModule.over(config, orm),
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
      providers: [{ provide: APP_GUARD, useClass: ThrottlerGuard }],
    };
  }

  /**
   * Who asks again and again over a connection that stays open would keep a server that closes from ever ending: such
   * connections end as soon as an answer is out.
   */
  beforeApplicationShutdown(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    this.letGo = setInterval(() => server.closeIdleConnections(), LET_GO_MS);
  }

  async onApplicationShutdown(): Promise<void> {
    clearInterval(this.letGo);
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
