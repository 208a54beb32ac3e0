import { Module } from '@nestjs/common';
import { PhotoFiles } from './photoFiles';
import { PhotosController } from './photos.controller';

@Module({ controllers: [PhotosController], providers: [PhotoFiles], exports: [PhotoFiles] })
export class PhotosModule {}
