import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import {
  ChangeProduct,
  CreateProduct,
  RegisterQuery,
  type ProductView,
  type RegisterView,
  type RemediesView,
} from '@yaylak/contract';
import { ProductsService } from './products.service';
import { RegisterService } from './register.service';
import { RemediesService } from './remedies.service';

@Controller('api/remedies')
export class RemediesController {
  constructor(
    @Inject(RemediesService) private readonly remedies: RemediesService,
    @Inject(ProductsService) private readonly products: ProductsService,
    @Inject(RegisterService) private readonly registers: RegisterService,
  ) {}

  /** Remedies and feeds with their labels, batches and stock. */
  @Get()
  view(): RemediesView {
    return this.remedies.view();
  }

  /** Treatments given, newest first, and until when they hold. */
  @Get('register')
  register(@Query() query: RegisterQuery): Promise<RegisterView> {
    return this.registers.view(query);
  }

  /** The register of treatments as CSV. */
  @Get('register.csv')
  @Header('content-type', 'text/csv; charset=utf-8')
  @Header('content-disposition', 'attachment; filename="treatments.csv"')
  csv(@Query() query: RegisterQuery): Promise<string> {
    return this.registers.csv(query);
  }

  /** Puts a remedy on the list. */
  @Post('products')
  @HttpCode(201)
  create(@Body() product: CreateProduct): Promise<ProductView> {
    return this.products.create(product);
  }

  /** Changes a remedy’s label on the version that was read. */
  @Put('products/:id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() product: ChangeProduct): Promise<ProductView> {
    return this.products.change(id, product);
  }

  /** Takes back a product that was never given. */
  @Delete('products/:id')
  @HttpCode(204)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.products.remove(id);
  }
}
