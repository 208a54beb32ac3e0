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
import type { ServerConfig } from './config';
import { serveApiPage } from './openApi';

/** A batch of 2,000 entries is some 700 kB. */
const BODY_LIMIT = '4mb';
/** A book of 200,000 entries is about 60 MB. */
const BOOK_LIMIT = '96mb';

/** A bridge elsewhere in the home network may be spoken to when the server was told of it. */
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
          // A stick or crate speaks through a bridge on the machine in front of the person.
          connectSrc: ["'self'", 'ws://127.0.0.1:*', 'ws://localhost:*', ...bridgeOrigin(config)],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // Plain http on the home network: no upgrade, no transport security.
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.useBodyParser('json', {
    limit: BODY_LIMIT,
    type: (req) => isJson(req.headers['content-type']) && !isBook(req.url),
  });
  app.useBodyParser('json', {
    limit: BOOK_LIMIT,
    type: (req) => isJson(req.headers['content-type']) && isBook(req.url),
  });
  app.useGlobalFilters(new ProblemFilter());
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: (errors: ValidationError[]) => badFields(fieldFaults(errors)),
    }),
  );
  app.enableShutdownHooks();
  serveApiPage(app);
  return app;
}

const isJson = (type: string | undefined): boolean => type?.includes('json') ?? false;
const isBook = (url: string | undefined): boolean => url?.split('?')[0] === '/api/book';
