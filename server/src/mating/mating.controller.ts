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

  /** Females of a species or group by what they are waiting for, heats, males and who ran with whom. */
  @Get()
  view(@Query() query: MatingQuery): Promise<MatingView> {
    return this.mating.view(query);
  }

  /** What the season came to: services, results and each male’s record. */
  @Get('record')
  record(@Query() query: MatingQuery): Promise<MatingRecordView> {
    return this.mating.record(query);
  }

  /** Who might be put to whom, by kinship and gain. */
  @Get('pairing')
  pairs(@Query() query: MatingQuery): Promise<PairingView> {
    return this.pairing.view(query);
  }

  /** What is known of one pair. */
  @Get('pair')
  pair(@Query() query: PairQuery): PairView {
    return this.pairing.pair(query);
  }

  /** An animal’s forebears and how often they come twice. */
  @Get('pedigree/:id')
  pedigree(@Param('id', ParseUUIDPipe) id: string, @Query() { generations }: PedigreeQuery): PedigreeView {
    return this.pairing.pedigree(id, generations);
  }
}
