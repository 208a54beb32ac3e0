import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import {
  MatingQuery,
  PairQuery,
  PedigreeQuery,
  type MatingRecordView,
  type MatingView,
  type PairingView,
  type PairView,
  type PedigreeView,
} from '@yaylak/contract';
import { MatingService } from './mating.service';
import { PairingService } from './pairing.service';

@Controller('api/mating')
export class MatingController {
  constructor(
    @Inject(MatingService) private readonly mating: MatingService,
    @Inject(PairingService) private readonly pairing: PairingService,
  ) {}

  @Get()
  view(@Query() query: MatingQuery): MatingView {
    return this.mating.view(query);
  }

  @Get('record')
  record(@Query() query: MatingQuery): Promise<MatingRecordView> {
    return this.mating.record(query);
  }

  @Get('pairing')
  pairs(@Query() query: MatingQuery): PairingView {
    return this.pairing.view(query);
  }

  @Get('pair')
  pair(@Query() query: PairQuery): PairView {
    return this.pairing.pair(query);
  }

  @Get('pedigree/:id')
  pedigree(@Param('id', ParseUUIDPipe) id: string, @Query() { generations }: PedigreeQuery): PedigreeView {
    return this.pairing.pedigree(id, generations);
  }
}
