import { Body, Controller, Get, Header, HttpCode, Inject, Post, Query } from '@nestjs/common';
import { PassportFile, PassportsQuery, ReadPassportsQuery, type PassportsRead } from '@yaylak/contract';
import { PassportsService } from './passports.service';

/** Animals with their history, from one book to another. */
@Controller('api/passports')
export class PassportsController {
  constructor(@Inject(PassportsService) private readonly passports: PassportsService) {}

  /** Passports of animals, as one file. */
  @Get()
  @Header('content-disposition', 'attachment; filename="passports.json"')
  write(@Query() { ids }: PassportsQuery): Promise<PassportFile> {
    return this.passports.write(ids);
  }

  /** Reads passports: as bought today, with their history; `?mode=check` writes nothing and says what would happen. */
  @Post()
  @HttpCode(200)
  read(@Body() file: PassportFile, @Query() { mode }: ReadPassportsQuery): Promise<PassportsRead> {
    return this.passports.read(file, mode);
  }
}
