import { Module } from '@nestjs/common';
import { CopiesController } from './copies.controller';
import { CopiesService } from './copies.service';
import { Follower } from './follower';

@Module({ controllers: [CopiesController], providers: [CopiesService, Follower], exports: [CopiesService] })
export class CopiesModule {}
