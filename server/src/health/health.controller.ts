import { MikroORM } from '@mikro-orm/libsql';
import { Controller, Get, Inject } from '@nestjs/common';

@Controller('api/health')
export class HealthController {
  constructor(@Inject(MikroORM) private readonly orm: MikroORM) {}

  /** Answers when the book can be read. */
  @Get()
  async health(): Promise<{ readonly status: 'ok' }> {
    await this.orm.em.getConnection().execute('select 1 from entry limit 1');
    return { status: 'ok' };
  }
}
