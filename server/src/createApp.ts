import type { MikroORM } from '@mikro-orm/libsql';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import type { ValidationError } from 'class-validator';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import { AppModule } from './app.module';
import { Clock } from './common/clock';
import { ProblemFilter } from './common/problem.filter';
import { badFields, fieldFaults } from './common/problems';
import { Quiet } from './common/quiet';
import type { ServerConfig } from './config';
import { bodyErrors } from './doors/bodyErrors';
import { bounded } from './common/bounds';
import { BOOK_PATH, bodyWithin, doors } from './doors/doors';
import { speakAsAsked } from './doors/language';
import { admission } from './household/admission';
import { HouseDoors } from './household/houseDoors';
import { AccountsService } from './household/accounts.service';
import { HouseholdService } from './household/household.service';
import { serveApiPage } from './openApi/openApi';

/** How much a body may be, by its path: 2,000 entries are some 700 kB. A whole book is read as it comes, elsewhere. */
const BODY_LIMITS: readonly (readonly [path: RegExp, limit: string])[] = [
  [/^\/api\/entries$/, '4mb'],
  // Two hundred animals with their history, or twenty with a photo each.
  [/^\/api\/passports$/, '8mb'],
  // The animals expected in a job, 20,000 at most.
  [/^\/api\/jobs$/, '1mb'],
  [/./, '256kb'],
];

const bridgeOrigin = ({ devicesUrl }: ServerConfig): string[] => {
  if (devicesUrl === undefined) return [];
  const { protocol, host } = new URL(devicesUrl);
  return [`${protocol}//${host}`];
};

/** Builds the application over an opened book, without listening yet. */
export async function createApp(config: ServerConfig, orm: MikroORM): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.over(config, orm), {
    bufferLogs: true,
    bodyParser: false,
  });
  app.get(Clock).daysAhead = config.daysAhead;
  app.useLogger(app.get(Logger));
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // styled-components writes its rules into style elements.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          // A stick or crate speaks through the bridge the server was told of, and no other.
          connectSrc: ["'self'", ...bridgeOrigin(config)],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // Plain http on the home network: no upgrade, no transport security.
      strictTransportSecurity: false,
      xFrameOptions: { action: 'deny' },
    }),
  );
  app.use(app.get(Quiet).count);
  app.use(speakAsAsked());
  const houseDoors = app.get(HouseDoors);
  app.use(doors((host) => houseDoors.isOwn(host)));
  app.use('/api', admission(config, app.get(HouseholdService), app.get(AccountsService)));
  // The quickest: a list of megabytes for a tablet in the next room waits for the packing, not for the line.
  app.use(compression({ level: 1 }));
  app.use(bodyWithin(config.bodyMs));
  BODY_LIMITS.forEach(([, limit], i) => {
    const isMeant = (url: string): boolean =>
      url !== BOOK_PATH && BODY_LIMITS.findIndex(([path]) => path.test(url)) === i;
    app.useBodyParser('json', { limit, type: (req) => isMeant(req.url?.split('?')[0] ?? '') });
  });
  app.use(bodyErrors);
  app.use(bounded);
  app.useGlobalFilters(new ProblemFilter());
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      // The words of a fault say what its rule was made with, which is found by the class it stands in.
      validationError: { target: true, value: true },
      exceptionFactory: (errors: ValidationError[]) => badFields(fieldFaults(errors)),
    }),
  );
  app.enableShutdownHooks();
  serveApiPage(app);
  return app;
}
