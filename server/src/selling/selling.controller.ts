import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import {
  ChangeLoad,
  ChangeOutlet,
  CreateLoad,
  CreateOutlet,
  DropLoad,
  MarginsQuery,
  PassportsQuery,
  ResultsQuery,
  SellingQuery,
  type MarginsView,
  type OutletView,
  type PlannedLoadView,
  type ResultsView,
  type SaleAheadView,
  type SaleAnimalView,
  type SaleSheetView,
  type SellingView,
} from '@yaylak/contract';
import { SaleAheadService } from './ahead.service';
import { LoadsService } from './loads.service';
import { MarginsService } from './margins.service';
import { OutletsService } from './outlets.service';
import { ResultsService } from './results.service';
import { SaleSheetService } from './saleSheet.service';
import { SellingService } from './selling.service';

@Controller('api/selling')
export class SellingController {
  constructor(
    @Inject(SellingService) private readonly selling: SellingService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(SaleAheadService) private readonly saleAhead: SaleAheadService,
    @Inject(LoadsService) private readonly loads: LoadsService,
    @Inject(ResultsService) private readonly made: ResultsService,
    @Inject(MarginsService) private readonly kept: MarginsService,
    @Inject(SaleSheetService) private readonly sheets: SaleSheetService,
  ) {}

  /** A pen of those that may be sold: who is ready, and what each brings at each outlet. */
  @Get()
  view(@Query() query: SellingQuery): Promise<SellingView> {
    return this.selling.view(query);
  }

  /** Where the holding sells, with what is paid there and was paid before. */
  @Get('outlets')
  list(): Promise<OutletView[]> {
    return this.outlets.list();
  }

  /** What sales brought against what was expected, and what they taught. */
  @Get('results')
  results(@Query() query: ResultsQuery): Promise<ResultsView> {
    return this.made.view(query);
  }

  /** What sales left in the hand by outlet, group, month or breed, year by year. */
  @Get('margins')
  margins(@Query() query: MarginsQuery): Promise<MarginsView> {
    return this.kept.view(query);
  }

  /** What selling asks for in the days ahead: who is ready, which outlet goes next, loads, reservations that end. */
  @Get('ahead')
  ahead(): Promise<SaleAheadView> {
    return this.saleAhead.view();
  }

  /** What buyers are told of animals: identifiers, parents, treatments, what is withheld, gene tests. */
  @Get('sheet')
  sheet(@Query() { ids }: PassportsQuery): SaleSheetView {
    return this.sheets.view(ids);
  }

  /** One animal over the coming days at each outlet, with how sure that is and what it hangs on. */
  @Get('animals/:id')
  animal(@Param('id', ParseUUIDPipe) id: string): Promise<SaleAnimalView> {
    return this.selling.animal(id);
  }

  /** Loads that are planned, the next first, each head with what keeps it off. */
  @Get('loads')
  loadsAhead(): Promise<PlannedLoadView[]> {
    return this.loads.list();
  }

  /** One load that was planned, gone or not. */
  @Get('loads/:id')
  load(@Param('id', ParseUUIDPipe) id: string): Promise<PlannedLoadView> {
    return this.loads.one(id);
  }

  /** Plans a load; one that may not go is not put on it. */
  @Post('loads')
  @HttpCode(201)
  plan(@Body() load: CreateLoad): Promise<PlannedLoadView> {
    return this.loads.create(load);
  }

  /** Changes a load on the version that was read. */
  @Put('loads/:id')
  changeLoad(@Param('id', ParseUUIDPipe) id: string, @Body() change: ChangeLoad): Promise<PlannedLoadView> {
    return this.loads.change(id, change);
  }

  /** Gives a planned load up; the animals stay as they are. */
  @Delete('loads/:id')
  @HttpCode(204)
  dropLoad(@Param('id', ParseUUIDPipe) id: string, @Query() { version }: DropLoad): Promise<void> {
    return this.loads.drop(id, version);
  }

  /** Adds an outlet. */
  @Post('outlets')
  @HttpCode(201)
  create(@Body() outlet: CreateOutlet): Promise<OutletView> {
    return this.outlets.create(outlet);
  }

  /** Changes an outlet on the version that was read: new prices are a list of their own day. */
  @Put('outlets/:id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() outlet: ChangeOutlet): Promise<OutletView> {
    return this.outlets.change(id, outlet);
  }
}
