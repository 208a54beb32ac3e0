import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Put,
  StreamableFile,
} from '@nestjs/common';
import { KeepPicture } from '@yaylak/contract';
import { notFound } from '../common/problems';
import { PhotoFiles } from './photoFiles';

/** A year, as long as anybody asks to keep anything: a picture under an id is never another. */
const FOR_GOOD = 'private, max-age=31536000, immutable';

/** Pictures of animals. That there is one is said by an entry of kind `photo`; it is sent before that. */
@Controller('api/photos')
export class PhotosController {
  constructor(@Inject(PhotoFiles) private readonly files: PhotoFiles) {}

  /** Keeps a picture under an id of the sender's; sent again it changes nothing. */
  @Put(':id')
  @HttpCode(204)
  keep(@Param('id', ParseUUIDPipe) id: string, @Body() { picture }: KeepPicture): void {
    this.files.keep(id, Buffer.from(picture, 'base64'));
  }

  /** A picture, as a JPEG. */
  @Get(':id')
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', FOR_GOOD)
  picture(@Param('id', ParseUUIDPipe) id: string): StreamableFile {
    const jpeg = this.files.read(id);
    if (!jpeg) throw notFound('photo');
    return new StreamableFile(jpeg);
  }
}
