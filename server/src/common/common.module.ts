import { MikroORM } from '@mikro-orm/libsql';
import { Global, Module, type DynamicModule } from '@nestjs/common';
import type { ServerConfig } from '../config';
import { Clock } from './clock';
import { Quiet } from './quiet';
import { Reopening } from './reopening';
import { CONFIG } from './tokens';

/** What every feature stands on: the clock, how the server was started, and the open book's connection. */
@Global()
@Module({ providers: [Clock, Quiet, Reopening], exports: [Clock, Quiet, Reopening] })
export class CommonModule {
  static over(config: ServerConfig, orm: MikroORM): DynamicModule {
    return {
      module: CommonModule,
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: MikroORM, useValue: orm },
      ],
      exports: [CONFIG, MikroORM],
    };
  }
}
