import { defineConfig, type Options } from '@mikro-orm/libsql';
import { ENTITIES } from './entities';
import { POOL } from './rawConnection';

/** MikroORM's options for a book file. */
export const ormOptions = (dataFile: string): Options =>
  defineConfig({
    dbName: dataFile,
    entities: ENTITIES,
    driverOptions: { pool: POOL },
    discovery: { warnWhenNoEntities: true },
    // Commands and reads open their own contexts; nothing is shared between requests.
    allowGlobalContext: false,
    debug: false,
    logger: () => undefined,
  });
