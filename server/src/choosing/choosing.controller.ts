import { Body, Controller, Delete, Get, Inject, Post, Query } from '@nestjs/common';
import {
  ChangeDraft,
  ChoosingQuery,
  DropDraft,
  SpeciesQuery,
  type BreedingProgress,
  type ChoosingSet,
  type ChoosingView,
  type GoingView,
  type HerdView,
  type KinView,
  type StrictnessView,
  type GeneticTrendView,
} from '@yaylak/contract';
import { BreedingService } from './breeding.service';
import { ChoosingService } from './choosing.service';
import { GoingService } from './going.service';
import { HerdService } from './herd.service';
import { KinService } from './kin.service';
import { StrictnessService } from './strictness.service';
import { TrendService } from './trend.service';

@Controller('api/choosing')
export class ChoosingController {
  constructor(
    @Inject(BreedingService) private readonly breeding: BreedingService,
    @Inject(ChoosingService) private readonly choosing: ChoosingService,
    @Inject(GoingService) private readonly going: GoingService,
    @Inject(HerdService) private readonly herd: HerdService,
    @Inject(KinService) private readonly kin: KinService,
    @Inject(StrictnessService) private readonly strictness: StrictnessService,
    @Inject(TrendService) private readonly trend: TrendService,
  ) {}

  /** Sets of animals that can be chosen among. */
  @Get('sets')
  sets(): ChoosingSet[] {
    return this.choosing.list();
  }

  /** A set in its order, with the choice that is being made of it. */
  @Get()
  view(@Query() query: ChoosingQuery): Promise<ChoosingView> {
    return this.choosing.view(query);
  }

  /** Changes the choice that is being made of a set. */
  @Post('draft')
  change(@Body() change: ChangeDraft): Promise<ChoosingView> {
    return this.choosing.change(change);
  }

  /** Throws the choice that is being made of a set away. */
  @Delete('draft')
  drop(@Query() query: DropDraft): Promise<ChoosingView> {
    return this.choosing.drop(query);
  }

  /** How closely those of a set are related to each other and to the mates that stay. */
  @Get('kin')
  related(@Query() query: ChoosingQuery): Promise<KinView> {
    return this.kin.view(query);
  }

  /** How far the breeding values of a species are worked. */
  @Get('progress')
  progress(@Query() { species }: SpeciesQuery): BreedingProgress {
    const running = this.breeding.progress(species);
    return { isWorking: running !== undefined, done: running?.done ?? 0, of: running?.of ?? 0 };
  }

  /** The share failing each standard, year by year of birth. */
  @Get('strictness')
  failing(@Query() { species }: SpeciesQuery): Promise<StrictnessView> {
    return this.strictness.view(species);
  }

  /** The mean breeding value of each trait, year by year of birth, and what came by dams and by sires. */
  @Get('trend')
  byYear(@Query() { species }: SpeciesQuery): Promise<GeneticTrendView> {
    return this.trend.view(species);
  }

  /** Grown animals that the holding's rules speak against, with what was decided of them. */
  @Get('going')
  who(@Query() { species }: SpeciesQuery): Promise<GoingView> {
    return this.going.view(species);
  }

  /** The females of a species by age, and what becomes of them in a year. */
  @Get('herd')
  females(@Query() { species }: SpeciesQuery): Promise<HerdView> {
    return this.herd.view(species);
  }
}
